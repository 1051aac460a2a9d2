"""Planning a bag as a fitter does it: the interview by keyboard, the hole, two slots, the short list, the plans."""

import re

from playwright.sync_api import Page, expect
from steps import DEMO, accessible, be_signed_in


def interview(page: Page) -> None:
    """By keyboard alone."""
    page.get_by_role("button", name="+ Long par three").press("Enter")
    page.get_by_role("slider", name="Distance in yards").press("ArrowLeft")
    page.get_by_role("slider", name="Must carry in yards").press("Home")
    page.get_by_role("button", name="+ Tight tee shot").press("Enter")
    expect(page.get_by_role("button", name=re.compile("^Long par three"))).to_contain_text("179 yd into a medium green")
    page.locator("summary").filter(has_text="Where do they play?").press("Enter")
    for _ in range(2):
        page.get_by_role("button", name="+ Course, trip or season").press("Enter")
    page.get_by_label("Course", exact=True).press("L")
    page.get_by_role("button", name="semi-rough", exact=True).press("Space")
    page.locator("summary").filter(has_text="Likes and dislikes").press("Enter")
    page.get_by_label("Utility irons").press("w")
    page.get_by_label("Utility irons").press("Tab")
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()


def hit_six(page: Page, application) -> None:
    expect(page.get_by_text("Feed open")).to_be_visible()
    shots = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")
    expect(shots).to_have_count(0)
    assert application.launch("monitor", "--bay", "Bay 1", "--shots", "6", "--every", "0.05").returncode == 0
    expect(shots).to_have_count(6)


def two_clubs_agreed(page: Page) -> None:
    page.keyboard.press("5")
    expect(page.get_by_role("heading", name="Recommend, up to 2 clubs")).to_be_visible()
    for letter in "AB":
        page.get_by_role("checkbox", name=re.compile(f"^{letter} ")).check()
    expect(page.get_by_role("heading", name="Build sheet")).to_have_count(2)
    accessible(page)
    page.get_by_role("button", name="Agree").click()
    page.get_by_role("button", name="Yes, that is it").click()
    page.get_by_role("link", name="Page for the customer").click()
    expect(page.get_by_role("heading", name=re.compile("^Your new clubs: .+ and "))).to_be_visible()


def test_the_hole_two_slots_the_short_list_and_what_the_bag_becomes(page: Page, application) -> None:
    be_signed_in(page, application)
    page.get_by_role("button", name="New customer").click()
    page.get_by_label("Customer’s name").fill("Vera Lindqvist")
    page.get_by_role("button", name="Start").click()
    expect(page.get_by_role("heading", name="What must the club do?")).to_be_visible()
    interview(page)
    accessible(page)

    page.keyboard.press("Escape")
    page.keyboard.press("2")
    page.get_by_role("button", name="Import shots").first.click()
    page.get_by_label("Shots file").set_input_files(DEMO)
    page.get_by_role("button", name="Take in 54 shots").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    carry_map = page.get_by_role("group", name="Carry map of Vera Lindqvist")
    expect(carry_map).to_contain_text("Between 6i and 5W")
    page.keyboard.press("r")
    expect(carry_map).to_contain_text("Holes by carry only")
    page.get_by_role("button", name="2 clubs").click()
    expect(carry_map).to_contain_text(re.compile(r"Window: carry \d+–\d+ and \d+–\d+ yd"))

    page.keyboard.press("l")
    expect(page.get_by_text(re.compile("Slot 2: "))).to_be_visible()
    expect(page.get_by_text("vetoed by the player").first).to_be_visible()
    page.get_by_role("button", name=re.compile("Put [0-9] on the stand")).click()
    expect(page.get_by_role("button", name="Put the marked on the stand")).to_be_disabled()

    page.keyboard.press("p")
    plans = page.get_by_role("region", name="Plans for the bag")
    expect(plans.get_by_role("button", name="Not hit yet", pressed=True)).to_be_visible()
    expect(plans).to_contain_text("Clubs not hit yet count as the short list expects them.")
    expect(carry_map).to_contain_text("Not hit yet: ")
    plans.get_by_role("button", name="Keep").last.click()
    expect(plans.get_by_role("group", name="Plan 1: in and out")).to_be_visible()
    expect(carry_map).to_contain_text("Plan 1: ")
    accessible(page)

    page.keyboard.press("3")
    hit_six(page, application)
    page.keyboard.press("2")
    stand = page.get_by_role("listitem").filter(has_text=re.compile("^A"))
    expect(stand).to_contain_text(re.compile(r"Closes|stay open|yd (under|past) your|no hole", re.I))

    page.get_by_role("button", name="Take back").click()
    expect(page.get_by_text("What does Vera carry today?")).to_be_visible()
    page.get_by_role("button", name="Bring in again").click()
    expect(carry_map).to_contain_text("Between 6i and 5W")

    page.keyboard.press("3")
    expect(page.get_by_role("heading", name="On the stand")).to_be_visible()
    page.keyboard.press("b")
    hit_six(page, application)
    two_clubs_agreed(page)

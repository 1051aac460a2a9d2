"""Any club and lie on the stand: a borrowed club and a bent own one to their verdicts, rough beside the club's
own figures, a head put on the rack by its owner and handed to a player."""

import re

from playwright.sync_api import Page, expect
from steps import accessible, be_signed_in, session_of

PLACES = {"1": "Brief", "2": "Bag", "3": "Bay", "4": "Bench"}


def go(page: Page, key: str) -> None:
    """To a place by its key, as soon as keys are heard."""
    there = page.get_by_role("navigation", name="Places of the visit")
    expect(there).to_be_visible()
    place = there.get_by_role("link", name=PLACES[key])
    while place.get_attribute("aria-current") != "page":
        page.keyboard.press(key)
        page.wait_for_timeout(200)


def six_shots(application) -> None:
    played = application.launch("monitor", "--bay", "Bay 2", "--shots", "6", "--every", "0.1")
    assert played.returncode == 0, played.stderr


def hit_six(page: Page, application, kept: int) -> None:
    six_shots(application)
    stand = page.locator("aside").filter(has=page.get_by_role("heading", name="On the stand"))
    held = stand.get_by_role("button", pressed=True)
    expect(held).to_contain_text(re.compile(rf"{kept} kept|{kept - 1} kept, 1 aside"))
    expect(page.get_by_text("Feed open")).to_be_visible()


def test_a_borrowed_club_a_bent_own_one_and_another_lie(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, "Ines Duarte").click()
    go(page, "2")
    expect(page.get_by_role("heading", name="Ladder")).to_be_visible()
    page.keyboard.press("o")
    page.get_by_label("What the borrowed club is called").fill("Lent 3H")
    page.get_by_label("Loft of the borrowed club in degrees").fill("20")
    page.get_by_role("dialog").get_by_role("button", name="On the stand").first.click()
    expect(page.get_by_role("listitem").filter(has_text="Lent 3H")).to_be_visible()
    go(page, "3")
    expect(page.get_by_role("heading", name=re.compile("^Lent 3H"))).to_be_visible()
    hit_six(page, application, 6)

    # A bend past what its construction bears is refused where it was typed; the one that can be done is made.
    go(page, "2")
    page.keyboard.press("o")
    page.get_by_label("Which of the player’s own clubs").select_option(label="5i")
    page.get_by_label("What is done to it").select_option("bend")
    page.get_by_label("By how much, less than nothing for the other way").fill("-3")
    page.get_by_role("dialog").get_by_role("button", name="On the stand").nth(1).click()
    expect(page.get_by_role("dialog").get_by_role("alert")).to_contain_text("may be bent 2° in loft at most")
    page.get_by_label("By how much, less than nothing for the other way").fill("-1")
    page.get_by_role("dialog").get_by_role("button", name="On the stand").nth(1).click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    go(page, "3")
    expect(page.get_by_role("heading", name=re.compile("^5i"))).to_be_visible()
    hit_six(page, application, 6)

    # From rough: kept beside the club, told on the Bench.
    page.get_by_role("button", name=re.compile("^Next: ")).click()
    page.get_by_label("What is hit from next").select_option("rough")
    six_shots(application)
    expect(page.get_by_role("button", name=re.compile("^Shot 12"))).to_be_visible()
    go(page, "4")
    page.keyboard.press("f")
    expect(page.get_by_text(re.compile("From rough: "))).to_be_visible()
    page.keyboard.press("w")
    for letter, name in (("D", "Lent 3H"), ("E", "5i")):
        card = page.get_by_role("listitem").filter(has_text=re.compile(f"^{letter}{name}.*Carries"))
        expect(card).to_be_visible()
    accessible(page)

    # The one asked for what goes further than the 5W says what it is held to, and what does not.
    go(page, "1")
    page.get_by_role("button", name="As far as possible, in play").click()
    page.get_by_label("The club it is held against").select_option(label="5W")
    expect(page.get_by_text(re.compile(r"^Wanted: \d+ yd or more in all, and in play on")).first).to_be_visible()
    go(page, "4")
    expect(page.get_by_text("Keep the 5W: none of these goes further")).to_be_visible()
    expect(page.get_by_text("No further than the 5W").first).to_be_visible()


def test_the_owner_puts_a_head_on_the_rack_and_a_fitter_hands_it_out(page: Page, application) -> None:
    page.goto(application.address)
    page.get_by_label("Name").fill("owner")
    page.get_by_label("Password").fill(application.password)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("link", name="Rack").click()
    page.get_by_role("button", name="Add a head").click()
    for label, value in (
        ("Maker", "Brackwater"), ("Model", "Sound"), ("Stands on the sole", "5H"), ("Loft, °", "26"),
        ("Length, in", "60"), ("Price", "199"),
    ):  # fmt: skip
        page.get_by_label(label, exact=True).fill(value)
    page.get_by_role("button", name="Onto the rack").click()
    expect(page.get_by_role("dialog").get_by_role("alert")).to_contain_text("The length: 30 to 48 in, not 60.")
    page.get_by_label("Length, in").fill("39.25")
    page.get_by_role("button", name="Onto the rack").click()
    expect(page.get_by_role("row", name=re.compile("5H Brackwater Sound"))).to_be_visible()
    accessible(page)
    with page.expect_download() as caught:
        page.get_by_role("link", name="Write out CSV").click()
    assert "Brackwater,Sound,5H,hybrid,26.0,,39.25" in caught.value.path().read_text()
    page.get_by_role("link", name="Desk").first.click()
    session_of(page, "Ines Duarte").click()
    go(page, "2")
    page.keyboard.press("k")
    row = page.get_by_role("listitem").filter(has_text="Brackwater Sound")
    row.get_by_role("button", name="On the stand").click()
    expect(row.get_by_text(re.compile("^[A-H]$"))).to_be_visible()

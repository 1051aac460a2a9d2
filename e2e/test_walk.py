"""A whole fitting, from sign-in to the customer's page and past a restart, as a fitter does it."""

import re
import urllib.error
import urllib.request

import pytest
from playwright.sync_api import Page, expect
from steps import DEMO, accessible, be_signed_in, session_of, sign_in


def brief(page: Page) -> None:
    page.get_by_role("button", name="+ Long par three").click()
    page.get_by_role("slider", name="Distance in yards").fill("138")
    page.get_by_role("button", name="+ Tight tee shot").click()
    page.get_by_label("Miss to avoid").select_option("left")
    page.get_by_text("Where do they play?").click()
    page.get_by_label("Usual ground").select_option("soft")
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()


def bag(page: Page) -> None:
    page.keyboard.press("2")
    page.get_by_role("button", name="Import shots").first.click()
    page.get_by_label("Shots file").set_input_files(DEMO)
    expect(page.get_by_label("Carry Distance (yd) is")).to_have_value("carry_m")
    expect(page.get_by_label("Smash Factor is")).to_have_value("")
    expect(page.get_by_text("Set aside 6i 76 (line 17)")).to_be_visible()
    page.get_by_role("button", name="Take in 54 shots").click()
    expect(page.get_by_text("54 shots of 9 clubs. 2 set aside.")).to_be_visible()
    expect(page.get_by_role("dialog")).to_have_count(0)
    carry_map = page.get_by_role("group", name="Carry map of Mabel Thorne")
    expect(carry_map).to_contain_text("Between 6i and 5W")
    expect(carry_map).to_contain_text("Holes by roll-out meets carry; irons and wedges by even carry steps")
    one = carry_map.text_content()
    page.get_by_role("button", name="Even carry steps").click()
    expect(carry_map).to_contain_text("Holes by even carry steps")
    page.get_by_role("button", name="2 clubs").click()
    expect(carry_map).to_contain_text(" and ")
    page.get_by_role("button", name="Roll-out meets carry").click()
    page.get_by_role("button", name="1 club", exact=True).click()
    expect(carry_map).to_have_text(one)
    page.get_by_label("Club to add").fill("3 wood")
    page.get_by_label("Carry in yards").fill("168")
    page.get_by_label("Total in yards").fill("185")
    page.get_by_role("button", name="Add", exact=True).click()
    page.keyboard.press("Escape")  # the cursor is in the next name
    expect(page.get_by_role("row", name=re.compile("3W.*168.*185 typed"))).to_be_visible()


def candidates(page: Page) -> None:
    page.keyboard.press("k")
    for label in ("4H", "9W", "U4"):
        there = page.get_by_role("listitem").filter(has=page.get_by_role("button", name="On the stand"))
        row = there.filter(has=page.get_by_label(f"Shaft for {label}")).first
        row.get_by_role("button", name="On the stand").click()
        expect(row.get_by_text(re.compile("^[ABC]$"))).to_be_visible()
    page.get_by_role("button", name="Close").click()


def bay(page: Page, application) -> None:
    page.keyboard.press("3")
    expect(page.get_by_text("Feed open")).to_be_visible()
    page.get_by_role("button", name="Hit 6").click()
    shots = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")
    expect(shots).to_have_count(6)
    expect(page.get_by_test_id("last-carry")).to_have_text(re.compile(r"^1[0-9]{2}$"))
    page.keyboard.press("n")
    expect(shots.last).to_contain_text("thin")
    page.keyboard.press("x")
    expect(shots.last.get_by_role("button")).to_have_accessible_name(re.compile("set aside"))
    page.keyboard.press("z")
    expect(shots.last.get_by_role("button")).not_to_have_accessible_name(re.compile("set aside"))
    for letter in "bc":
        page.keyboard.press(letter)
        expect(page.get_by_role("button", name=re.compile(f"^{letter.upper()} "), pressed=True)).to_be_visible()
        played = application.launch("monitor", "--bay", "Bay 1", "--shots", "5", "--every", "0.1")
        assert played.returncode == 0, played.stderr
        expect(shots).to_have_count(5)


def bench(page: Page) -> None:
    page.keyboard.press("4")
    expect(page.get_by_role("tab", name=re.compile("Which"))).to_be_visible()
    for tab, shown in (
        ("f", page.get_by_role("img", name=re.compile("Landing zone"))),
        ("t", page.get_by_text("Nothing was tested yet.")),
        ("i", page.get_by_role("heading", name="What if")),
    ):
        page.keyboard.press(tab)
        expect(shown).to_be_visible()
        accessible(page)
    page.keyboard.press("w")
    for letter in "ABC":
        card = page.get_by_role("listitem").filter(has_text=re.compile(f"^{letter}.*Carries 1"))
        expect(card).to_have_count(1)


def handover(page: Page) -> None:
    page.keyboard.press("5")
    page.get_by_role("radio", name=re.compile("9W")).check()
    page.get_by_label("Reasons").fill("She likes to look down at it, and it lands softest.")
    page.get_by_role("button", name="Agree").click()
    page.get_by_role("button", name="Yes, that is it").click()
    expect(page.get_by_text(re.compile("^✓ Agreed .* by Rowan Ashby$"))).to_be_visible()
    page.get_by_role("link", name="Page for the customer").click()
    expect(page.get_by_role("heading", name="Your new club: 9W 24°")).to_be_visible()


def test_the_readmes_walk_goes_key_for_key_and_ends_with_the_club_that_fills_the_hole(
    page: Page, stood_application
) -> None:
    """“Open Mabel Thorne, add two jobs, press 2 and import; press L and P, 3 for the bay, let the stand-in hit.”"""
    sign_in(page, stood_application)
    session_of(page, re.compile("Mabel Thorne")).click()
    page.get_by_role("button", name="+ Long par three").click()
    page.get_by_role("button", name="+ Second into a par five").click()
    page.keyboard.press("2")
    expect(page.get_by_role("heading", name="Ladder")).to_be_visible()
    page.keyboard.press("i")
    page.get_by_label("Shots file").set_input_files(DEMO)
    page.get_by_role("button", name="Take in 54 shots").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.keyboard.press("l")
    page.get_by_role("button", name=re.compile(r"^Put \d on the stand")).click()
    expect(page.get_by_role("link", name=re.compile("on the stand: to the bay"))).to_be_visible()
    page.keyboard.press("p")
    expect(page.get_by_role("tab", name=re.compile("Plans"), selected=True)).to_be_visible()
    page.keyboard.press("3")
    page.get_by_role("button", name="Hit 6").click()
    shots = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")
    expect(shots).to_have_count(6)
    page.keyboard.press("4")
    expect(page.get_by_test_id("choice")).to_contain_text(re.compile("fills the hole|saves|more shots with A"))
    page.keyboard.press("1")
    expect(page.get_by_role("button", name=re.compile("^Second into a par five"))).to_be_visible()
    page.get_by_role("button", name=re.compile("^Long par three")).click()
    name = page.get_by_label("Name of the job")
    expect(name).to_have_value("Long par three")
    # A name is left by Enter, and keys act again.
    name.fill("Over the quarry")
    page.keyboard.press("Enter")
    page.keyboard.press("2")
    expect(page.get_by_role("heading", name="Ladder")).to_be_visible()


def test_a_whole_fitting(page: Page, fresh_application) -> None:
    application = fresh_application
    with pytest.raises(urllib.error.HTTPError) as refused:
        urllib.request.urlopen(f"{application.address}/api/sessions")
    assert refused.value.code == 401
    refused.value.close()
    sign_in(page, application)
    accessible(page)
    session_of(page, re.compile("Mabel Thorne")).click()
    for step in (brief, bag, candidates):
        step(page)
        accessible(page)
    bay(page, application)
    accessible(page)
    bench(page)
    accessible(page)
    handover(page)
    accessible(page)
    address = page.url
    assert application.stop() == 0
    application.start()
    page.goto(address)
    expect(page.get_by_text("She likes to look down at it, and it lands softest.")).to_be_visible()
    page.goto(address.replace("/page", "/bay"))
    expect(page.get_by_text("This visit is agreed.")).to_be_visible()


def test_a_new_customer_gets_a_session_and_the_keys_are_on_the_sheet(page: Page, application) -> None:
    be_signed_in(page, application)
    page.get_by_role("button", name="New customer").click()
    page.get_by_label("Customer’s name").fill("Bertram Archibald Featherstonehaugh-Cholmondeley the Younger")
    page.get_by_label("Hand").select_option("left")
    page.get_by_role("button", name="Start").click()
    expect(page.get_by_text("left-handed")).to_be_visible()
    page.keyboard.press("4")
    expect(page.get_by_text("Nothing to compare yet")).to_be_visible()
    page.keyboard.press("2")
    page.get_by_label("Club to add").fill("5i")
    page.get_by_label("Carry in yards").fill("150")
    page.get_by_label("Total in yards").fill("120")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("Are the two swapped?")
    page.keyboard.press("Escape")
    page.locator("body").click(position={"x": 5, "y": 400})
    page.keyboard.press("?")
    sheet = page.get_by_role("dialog", name="Keys")
    expect(sheet).to_contain_text("Import shots")
    expect(sheet).to_contain_text("Handover")
    assert page.evaluate("document.documentElement.scrollWidth <= innerWidth")


def test_a_second_launcher_on_the_same_data_is_refused(application) -> None:
    done = application.launch("start", "--port", str(application.port + 1))
    assert done.returncode == 1
    assert "already running" in done.stderr


def test_in_the_bay_nothing_is_lost(page: Page, application) -> None:
    """A new setting, a shot filed under the wrong club, a target overruled, a hole chosen by keyboard."""
    be_signed_in(page, application)
    session_of(page, re.compile("Ines Duarte")).click()
    expect(page.get_by_text("Feed open")).to_be_visible()
    page.keyboard.press("1")
    page.get_by_text("Clubs that stay").click()
    page.get_by_role("button", name="5W", exact=True).click()
    expect(page.get_by_role("button", name="5W", exact=True, pressed=True)).to_be_visible()
    page.get_by_role("button", name="Change Carry").click()
    page.get_by_label("Carry to").fill("185")
    page.get_by_role("button", name="Set", exact=True).click()
    expect(page.get_by_text("Overruled.")).to_be_visible()
    page.keyboard.press("2")
    expect(page.get_by_text("Window: carry")).to_be_visible()
    hole = page.get_by_role("button", name=re.compile("uncovered between 5W and Dr"))
    hole.focus()
    page.keyboard.press("Enter")
    expect(page.get_by_text("Between 5W and Dr", exact=True)).to_be_visible()
    page.get_by_role("button", name=re.compile("uncovered between 5i and 5W")).press(" ")
    expect(page.get_by_text("Between 5i and 5W", exact=True)).to_be_visible()
    page.keyboard.press("3")
    expect(page.get_by_text("Feed open")).to_be_visible()
    page.keyboard.press("b")
    expect(page.get_by_role("button", name=re.compile("^B "), pressed=True)).to_be_visible()
    page.keyboard.press("s")
    page.get_by_role("dialog").get_by_role("button", name="25°").click()
    d = page.get_by_role("button", name=re.compile("^D 9W"), pressed=True)
    expect(d).to_contain_text("turned from B: 24° set to 25°")
    assert application.launch("monitor", "--bay", "Bay 2", "--shots", "2", "--every", "0").returncode == 0
    expect(d).to_contain_text("2 kept")
    page.keyboard.press("m")
    page.get_by_role("dialog").get_by_role("button", name="A 4H 22°").click()
    expect(d).to_contain_text("1 kept")
    page.keyboard.press("z")
    expect(d).to_contain_text("2 kept")


def test_every_place_fits_a_tablet_and_the_page_a_phone(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, re.compile("Tunde Bakare.*Recommended")).click()
    expect(page).to_have_url(re.compile("/handover$"))
    session = page.url.rsplit("/", 1)[0]
    page.set_viewport_size({"width": 1024, "height": 768})
    for place in ("brief", "bag", "bay", "bench", "handover"):
        page.goto(f"{session}/{place}")
        expect(page.get_by_role("main")).not_to_contain_text("Reading")
        assert page.evaluate("document.querySelector('main').scrollWidth <= document.querySelector('main').clientWidth")
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto(f"{session}/page")
    expect(page.get_by_role("heading", name="Your new club: 5W 18°")).to_be_visible()
    assert page.evaluate("document.documentElement.scrollWidth <= innerWidth")
    page.goto(f"{application.address}/sessions/99999/bag")
    expect(page.get_by_role("alert")).to_contain_text("not in your shop")

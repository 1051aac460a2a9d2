"""Monday in a real shop: from the first start to the agreed page, with shots that are read off a screen."""

from __future__ import annotations

import re
from urllib.parse import urljoin

from playwright.sync_api import Browser, Page, expect
from steps import accessible, session_of

PASSWORD = "nobody guesses this"


def open_shop(page: Page, address: str) -> None:
    """The first page, a step at a time. What it is built of is small on its way and stays in the browser."""
    page.goto(address)
    script = page.locator("script[src]").first.get_attribute("src") or ""
    built = page.request.get(urljoin(address, script), headers={"Accept-Encoding": "br"}).headers
    assert "immutable" in built["cache-control"] and built["content-encoding"] == "br"
    page.get_by_label("What your shop is called").fill("Westmark Fitting")
    page.get_by_label("Currency of your prices").select_option("EUR")
    accessible(page)
    page.get_by_label("Where it is").press("Enter")
    page.get_by_label("Your name").fill("Ines Moor")
    page.get_by_label("Sign in as").fill("ines")
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Next").click()
    page.get_by_role("radio", name=re.compile("^Firm")).check()
    page.get_by_role("button", name="Next").click()
    page.get_by_role("button", name="One more bay").click()
    for bay in ("Bay 1", "Bay 2"):
        page.get_by_role("radiogroup", name=f"How shots of {bay} come in").get_by_text("Read off its screen").click()
    accessible(page)
    page.get_by_role("button", name="Open the shop").click()
    page.get_by_role("button", name="Put the usual lofts on it").click()
    expect(page.get_by_role("status")).to_contain_text("22 heads and 8 shafts")
    page.get_by_role("button", name="To the desk").click()
    expect(page.get_by_role("banner").get_by_text("Westmark Fitting")).to_be_visible()


def first_customer(page: Page) -> None:
    """A name, what each club carries by a screen's averages, the hole."""
    page.get_by_label("Customer’s name").fill("Tilde Marsh")
    page.get_by_role("button", name="Start").click()
    expect(page.get_by_role("heading", name=re.compile("Tilde Marsh"))).to_be_visible()
    page.keyboard.press("2")
    expect(page.get_by_role("heading", name="Ladder")).to_be_visible()
    page.keyboard.press("v")
    sheet = page.get_by_role("dialog", name="Averages read off a screen")
    clubs = [("5W", "196"), ("5i", "160"), ("6i", "150")]
    for name, carry in clubs:
        sheet.get_by_label(f"Balls of {name}").fill("5")
        sheet.get_by_label(f"Carry of {name}").fill(carry)
        sheet.get_by_label(f"All within of {name}").fill("6")
    sheet.get_by_role("button", name="Take them in").click()
    expect(sheet).to_have_count(0)
    expect(page.get_by_text(re.compile("belong between 5i and 5W"))).to_be_visible()


def typed_fitting(page: Page) -> None:
    """Two heads of the rack, six balls each typed with the carry alone, the choice."""
    page.keyboard.press("l")
    page.get_by_role("button", name=re.compile(r"^Put \d on the stand")).click()
    expect(page.get_by_role("link", name=re.compile("on the stand: to the bay"))).to_be_visible()
    page.keyboard.press("3")
    for letter, carries in (("a", (178, 181, 176, 180, 179, 177)), ("b", (186, 171, 190, 168, 182, 177))):
        page.keyboard.press(letter)
        expect(page.get_by_role("button", name=re.compile(f"^{letter.upper()} "), pressed=True)).to_be_visible()
        page.get_by_role("button", name="Type shots", exact=False).first.click()
        pad = page.get_by_role("dialog", name=re.compile("^Type shots of"))
        for carry in carries:
            for digit in str(carry):
                pad.get_by_role("button", name=digit, exact=True).click()
        expect(pad).to_contain_text("6 kept")
        page.keyboard.press("Escape")
        expect(page.get_by_role("list", name="Shots of this build").get_by_role("listitem")).to_have_count(6)


def agree(page: Page) -> None:
    page.keyboard.press("4")
    expect(page.get_by_test_id("choice")).to_contain_text(re.compile("fills the hole|saves|with A"))
    page.keyboard.press("5")
    page.get_by_role("button", name="Agree").click()
    page.get_by_role("button", name="Yes, that is it").click()
    expect(page.get_by_text(re.compile("^✓ Agreed .* by Ines Moor$"))).to_be_visible()
    page.get_by_role("link", name="Page for the customer").click()
    expect(page.get_by_text(re.compile("^Westmark Fitting,"))).to_be_visible()
    expect(page.get_by_text(re.compile("Demo:"))).to_have_count(0)


def test_an_owner_opens_a_shop_of_their_own_and_agrees_with_the_first_customer(page: Page, another) -> None:
    application = another()
    application.start("--own")
    open_shop(page, application.opens)
    first_customer(page)
    typed_fitting(page)
    agree(page)
    # It is there again, and nothing offers to open a second one.
    assert application.stop() == 0
    application.start()
    assert (application.opens, application.password) == ("", "")


def test_from_the_demo_a_shop_of_ones_own_is_opened_beside_it_with_an_assistant_at_its_pad(
    browser: Browser, page: Page, application
) -> None:
    page.goto(application.address)
    page.get_by_label("Name").fill("fitter")
    page.get_by_label("Password").fill(application.password)
    page.keyboard.press("Enter")
    expect(page.get_by_text("Demo: all of it made up")).to_be_visible()
    session_of(page, re.compile("Tunde Bakare.*Recommended")).click()
    page.goto(page.url.replace("handover", "page"))
    expect(page.get_by_text("Demo: the shop, the player and every figure are made up.")).to_be_visible()
    page.goto(application.address)
    page.get_by_role("link", name="Open your own shop").click()
    open_shop(page, page.url)
    expect(page.get_by_text("Bakare")).to_have_count(0)
    # An assistant hands a club of a try-out and types its shot on a phone.
    page.get_by_role("button", name="Begin a try-out").click()
    expect(page.get_by_text("A try-out: nobody")).to_be_visible()
    page.goto(f"{application.address}/shop?part=people")
    page.get_by_label("Name", exact=True).fill("Bo Lind")
    page.get_by_label("Signs in as").fill("bo")
    page.get_by_label("What they are").select_option("assistant")
    page.get_by_role("button", name="Add").click()
    word = page.get_by_test_id("once").inner_text()
    context = browser.new_context(viewport={"width": 390, "height": 844}, locale="en-GB", has_touch=True)
    phone = context.new_page()
    phone.goto(application.address)
    phone.get_by_label("Name").fill("bo")
    phone.get_by_label("Password").fill(word)
    phone.keyboard.press("Enter")
    phone.get_by_role("link", name=re.compile("Try-out")).tap()
    expect(phone).to_have_url(re.compile("/pad$"))
    accessible(phone)
    phone.get_by_role("button", name=re.compile("^6i")).tap()
    expect(phone.get_by_role("heading", name="6i")).to_be_visible()
    for digit in "151":
        phone.get_by_role("button", name=digit, exact=True).tap()
    shots = phone.get_by_role("list", name="Shots of this club").get_by_role("listitem")
    expect(shots).to_have_count(1)
    phone.get_by_role("button", name="Undo").tap()
    expect(shots.get_by_role("button", name="Bring back")).to_be_visible()
    phone.goto(f"{application.address}/rack")
    expect(phone).to_have_url(f"{application.address}/")
    context.close()
    # Thrown away, it is off the desk.
    page.goto(application.address)
    page.get_by_role("link", name=re.compile("Try-out")).first.click()
    page.get_by_role("button", name="Throw it away").click()
    expect(page.get_by_text("Your first customer")).to_be_visible()

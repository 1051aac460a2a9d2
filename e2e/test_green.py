"""A visit to the wedges at the green: a tablet, touch alone, no monitor, and no line once the sole test is set up."""

import re

import pytest
from playwright.sync_api import Browser, Locator, Page, expect
from steps import be_signed_in

TABLET = {"width": 1024, "height": 768}
MOST_TOUCHES = 90
LIKED = {"N": 0, "M": 1, "W": 2}


class Tablet:
    """Touches, counted; nothing is typed with keys."""

    def __init__(self, page: Page) -> None:
        self.page, self.touches = page, 0
        page.add_init_script("addEventListener('keydown', () => { window.typed = true }, true)")

    def touch(self, what: Locator) -> None:
        what.tap()
        self.touches += 1

    def button(self, name: str | re.Pattern[str], *, exact: bool = True) -> None:
        self.touch(self.page.get_by_role("button", name=name, exact=exact).first)

    def place(self, name: str) -> None:
        self.touch(self.page.get_by_role("link", name=re.compile(name)))


@pytest.fixture
def tablet(browser: Browser, application):
    """At the bag of a session that begins: somebody new, his wedges to be worked at."""
    context = browser.new_context(viewport=TABLET, locale="en-GB", has_touch=True, service_workers="block")
    page = context.new_page()
    made = Tablet(page)
    be_signed_in(page, application)
    token = next(each["value"] for each in context.cookies() if each["name"] == "csrftoken")

    def ask(method: str, url: str, body: dict) -> dict:
        answer = page.request.fetch(f"{application.address}/api/{url}", method=method, data=body,
                                    headers={"X-CSRFToken": token})  # fmt: skip
        assert answer.ok, answer.text()
        return answer.json()

    customer = ask("POST", "customers", {"name": "Orla Pennick", "hand": "right"})["id"]
    session = ask("POST", "sessions", {"customer": customer, "bay": 1})["id"]
    ask("PATCH", f"sessions/{session}/brief", {"now": {"end": "short"}, "was": {}})
    page.goto(f"{application.address}/sessions/{session}/bag")
    yield made
    context.close()


def set_up_soles(tablet: Tablet) -> dict[str, int]:
    """Which word is liked how much."""
    page = tablet.page
    tablet.place("Bay")
    tablet.button(re.compile("More$"))
    tablet.button(re.compile("Shot wanted"))
    tablet.button("Sole test, blind")
    expect(page.get_by_text(re.compile(r"About \d+ min"))).to_be_visible()
    tablet.button("20 minutes")
    tablet.button("Draw the codes")
    tablet.button(re.compile("Show which is which"))
    rows = page.get_by_role("table").get_by_role("row")
    expect(rows.nth(1)).to_be_visible()
    found = [re.match(r"(\w+)\s+(?:Gannock 58 (\w)|.*own)", text) for text in rows.all_inner_texts()]
    tablet.button("Taped: to the Bay")
    return {each[1]: LIKED.get(each[2] or "", 0) for each in found if each}


def play_soles(tablet: Tablet, liking: dict[str, int]) -> None:
    page, stage, before = tablet.page, "", ""
    end = page.get_by_role("heading", name=re.compile("Which one is the sole he plays now"))
    strip = page.get_by_role("region", name="Sole test")
    for _ in range(40):
        expect(page.get_by_test_id("code").or_(end)).to_be_visible()
        if end.count():
            return
        word, where = page.get_by_test_id("code").inner_text(), strip.locator("h2 + div > p").first.inner_text()
        count = strip.get_by_test_id("handed").inner_text()
        if where == stage:
            apart = liking[word] - liking[before]
            said = "Better" if apart > 0 else "Worse" if apart < 0 else "Level"
            tablet.touch(strip.get_by_role("button", name=re.compile(f"{said}$")))
        tablet.touch(strip.get_by_role("button", name=re.compile("(Even|Slid)$")))
        stage, before = where, word
        expect(strip.get_by_test_id("handed").filter(has_text=re.compile(f"^{count}$"))).to_have_count(0)


def type_carries(tablet: Tablet, club: str, *carries: str) -> None:
    """What somebody paced, by the pad: three digits go in by themselves."""
    page = tablet.page
    tablet.touch(page.get_by_role("button", name=re.compile(f"^{club}")).first)
    tablet.button(re.compile("Type shots"))
    pad = page.get_by_role("dialog")
    for carry in carries:
        for digit in carry:
            tablet.touch(pad.get_by_role("button", name=digit, exact=True))
        if len(carry) < 3:
            tablet.touch(pad.get_by_role("button", name="Take it in"))
    expect(pad.get_by_text(f"Typed: {carries[-1]}")).to_be_visible()
    tablet.touch(pad.get_by_role("button", name="Close"))


def test_bag_ends_sole_and_cut_by_touch_alone_without_a_line_or_a_monitor(tablet: Tablet) -> None:
    page = tablet.page
    tablet.button(re.compile("usual set of 7"))
    expect(page.get_by_role("button", name=re.compile("^58°")).first).to_be_visible()
    liking = set_up_soles(tablet)
    assert sorted(liking.values()) == [0, 0, 1, 2]
    page.context.set_offline(True)
    play_soles(tablet, liking)
    tablet.button(min(liking, key=lambda word: liking[word]))
    tablet.button("Fairly sure")
    tablet.button("Reveal")
    which = page.get_by_role("dialog", name="Which code is which club")
    expect(which.get_by_role("row").filter(has_text="Gannock 58 W")).to_be_visible()
    tablet.touch(which.get_by_role("button", name="Close"))
    type_carries(tablet, "58°", "84", "83", "86")
    type_carries(tablet, "PW", "126", "124", "127")
    type_carries(tablet, "54°", "99", "97", "98")
    page.context.set_offline(False)
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    tablet.place("Bag")
    tablet.button(re.compile("Short end"))
    order = page.get_by_label("Order of work")
    expect(order.get_by_role("listitem").filter(has_text="Both ends")).to_contain_text("84 with 58°, 126 with PW")
    expect(page.get_by_label("The cut", exact=True).get_by_role("listitem").first).to_contain_text("Carry ")
    # What was answered without a line is the result.
    tablet.place("Bench")
    expect(page.get_by_test_id("sole-result")).to_contain_text("Gannock 58 W")
    assert not page.evaluate("window.typed")
    assert tablet.touches <= MOST_TOUCHES, tablet.touches

"""A blind sole test as fitter and player live it: by the keyboard alone, with the stand-in hitting; then by touch, with
an assistant who hands out, and a stretch without a line."""

import os
import re
import signal

from playwright.sync_api import Browser, Locator, Page, Route, expect
from steps import accessible, be_signed_in, servers, session_of
from test_any_club import go

LIKED = {"58 N": 0, "58 M": 1, "58 W": 2}


class Fitter:
    """Who hands out what the screen says and answers as a player does who likes the wide sole best. touch: by touch,
    else by key."""

    def __init__(self, page: Page, links: list[str], *, touch: bool) -> None:
        self.page, self.touch = page, touch
        self.liking = {}
        for line in links:
            word, club = re.match(r"(\w+)\s+Gannock (58 \w)", line).groups()
            self.liking[word] = LIKED[club]
        self.stage, self.before, self.acts = "", "", 0

    @property
    def shown(self) -> str:
        return self.page.get_by_test_id("code").inner_text()

    def press(self, key: str, name: str, group: str) -> None:
        self.acts += 1
        if self.touch:
            self.page.get_by_role("group", name=group).get_by_role("button", name=re.compile(f"{name}$")).tap()
        else:
            self.page.keyboard.press(key)

    def answer(self) -> None:
        """What is said of the code on the screen; then the next one is on it, or the end."""
        said = self.page.get_by_role("region", name="Sole test")
        where = said.locator("h2 + div > p").first.inner_text()
        count = said.get_by_test_id("handed").inner_text()
        word, sand = self.shown, "sand" in where
        if where == self.stage:
            apart = self.liking[word] - self.liking[self.before]
            key, name = ("ArrowUp", "Better") if apart > 0 else ("ArrowDown", "Worse") if apart < 0 else ("[", "Level")
            self.press(key, name, "Better, level or worse")
        self.press("Shift+E" if sand else "Shift+S", "Even" if sand else "Slid", "How it met the ground")
        self.stage, self.before = where, word
        expect(said.get_by_test_id("handed").filter(has_text=re.compile(f"^{count}$"))).to_have_count(0)

    def play(self, most: int = 99) -> None:
        end = self.page.get_by_role("heading", name=re.compile("Which one is the sole he plays now"))
        for _ in range(most):
            expect(self.page.get_by_test_id("code").or_(end)).to_be_visible()
            if end.count():
                return
            self.answer()


def by_key(page: Page, name: str | re.Pattern[str]) -> None:
    page.get_by_role("button", name=name).first.focus()
    page.keyboard.press("Enter")


def set_up(page: Page, act) -> None:
    session_of(page, re.compile("Yusuf Tarrant")).click()
    go(page, "3")
    page.keyboard.press("w")
    act("Sole test, blind")
    expect(page.get_by_role("heading", name="Blind sole test, Yusuf Tarrant")).to_be_visible()
    expect(page.get_by_text(re.compile(r"About \d+ min"))).to_be_visible()


def on_a_slow_line(page: Page, fitter: Fitter) -> None:
    """The first of two keys, pressed before the answer to the last code is in, is still there when it is."""

    def late(route: Route) -> None:
        answer = route.fetch()
        page.wait_for_timeout(800)
        route.fulfill(response=answer)

    page.route("**/said", late)
    with page.expect_response("**/said"):
        fitter.answer()
        word = fitter.shown
        page.keyboard.press("[")
    page.unroute("**/said")
    page.wait_for_timeout(300)
    expect(page.get_by_test_id("code")).to_have_text(word)
    expect(page.get_by_role("button", name=re.compile("Level$"), pressed=True)).to_be_visible()


def links_of(page: Page) -> list[str]:
    rows = page.get_by_role("table").get_by_role("row")
    expect(rows.nth(1)).to_be_visible()
    return [text for text in rows.all_inner_texts() if "Gannock" in text]


def test_a_whole_staged_test_by_the_keyboard_alone_ends_in_a_reveal_and_a_chosen_sole(page: Page, application) -> None:
    be_signed_in(page, application)
    set_up(page, lambda name: by_key(page, name))
    accessible(page)
    by_key(page, "Gannock 58 W under two codes")
    by_key(page, "Draw the codes")
    by_key(page, re.compile("Show which is which"))
    fitter = Fitter(page, links_of(page), touch=False)
    assert sorted(fitter.liking.values()) == [0, 1, 2, 2]
    by_key(page, "Taped: to the Bay")
    expect(page.get_by_test_id("code")).to_be_visible()
    # The monitor files under the code, and one bad swing is set aside without touching what is liked.
    hit = application.launch("monitor", "--bay", "Bay 2", "--shots", "4", "--every", "0")
    assert hit.returncode == 0, hit.stderr
    shots = page.get_by_test_id("shots-of-code")
    expect(shots).to_contain_text("4 of 3 shots")
    page.keyboard.press("x")
    expect(shots).to_contain_text("3 of 3 shots")
    accessible(page)
    first = fitter.shown
    fitter.answer()
    page.keyboard.press("z")
    expect(page.get_by_test_id("code")).to_have_text(first)
    fitter.stage = ""
    on_a_slow_line(page, fitter)
    fitter.play()
    expect(page.get_by_role("heading", name=re.compile("Which one is the sole he plays now"))).to_be_visible()
    by_key(page, next(word for word, liked in fitter.liking.items() if liked == 0))
    by_key(page, "Fairly sure")
    expect(page.get_by_role("button", name="Fairly sure", pressed=True)).to_be_visible()
    by_key(page, re.compile("^Reveal$"))
    told = page.get_by_role("article", name=re.compile("Blind sole test, 58"))
    expect(told.get_by_test_id("sole-result")).to_contain_text("Gannock 58 W is liked best")
    expect(told).to_contain_text("two codes")
    expect(told).to_contain_text("Guessed right")
    expect(told).to_contain_text("Belief: steep")
    told.get_by_role("button", name="Choose").first.focus()
    page.keyboard.press("Enter")
    expect(told.get_by_role("button", name="Chosen ✓")).to_be_visible()
    go(page, "3")
    stand = page.locator("aside").filter(has=page.get_by_role("heading", name="On the stand"))
    expect(stand.get_by_role("button", name=re.compile("58° W"))).to_be_visible()
    # Eighteen and two more handed: two keys each, but for the first at a lie.
    assert fitter.acts < 45


SIZE = {"width": 1024, "height": 768}


def blind_to_both(page: Page, assistant: Page, application) -> Fitter:
    """Set up by touch in the 20-minute version, with the assistant's page open on a device of its own."""
    be_signed_in(page, application)
    set_up(page, lambda name: page.get_by_role("button", name=name).tap())
    page.get_by_role("button", name="20 minutes").tap()
    page.get_by_role("button", name="The fitter too").tap()
    page.get_by_role("button", name="Draw the codes").tap()
    page.get_by_role("button", name="A code for the assistant’s page").tap()
    page.get_by_role("button", name="Give a code").tap()
    code = page.get_by_test_id("hand-out-code").inner_text()
    assistant.goto(f"{application.address}/hand-out")
    assistant.get_by_label("Code on the fitter’s screen").fill(code)
    assistant.get_by_role("button", name="Open").tap()
    expect(assistant.get_by_test_id("hand")).to_be_visible()
    accessible(assistant)
    clubs = assistant.get_by_role("region", name="Which code is which club").get_by_role("button")
    fitter = Fitter(page, [text.replace("\n", " ") for text in clubs.all_inner_texts()], touch=True)
    page.get_by_role("button", name="Close").tap()
    page.get_by_role("button", name="Taped: to the Bay").tap()
    return fitter


def note_on_the_phone(told: Locator, phone: Page, application) -> None:
    """Days later: the player's own word, by the code."""
    told.get_by_role("button", name="A code for the player’s notes").tap()
    notes = told.get_by_test_id("course-code").inner_text()
    phone.set_viewport_size({"width": 390, "height": 844})
    phone.goto(f"{application.address}/course/{notes}")
    phone.get_by_role("button", name=re.compile("58 W")).tap()
    phone.get_by_role("button", name="Picked up first").tap()
    phone.get_by_label("What it did").fill("Slid under the ball from wet grass")
    phone.evaluate("navigator.serviceWorker.ready")
    phone.wait_for_timeout(1500)
    phone.context.set_offline(True)
    phone.get_by_role("button", name="Write it down").tap()
    expect(phone.get_by_text("1 note waits on this device for the line.")).to_be_visible()
    phone.reload()
    expect(phone.get_by_text("1 note waits on this device for the line.")).to_be_visible()
    phone.context.set_offline(False)
    expect(told).to_contain_text("picked up first: Slid under the ball from wet grass")
    accessible(phone)


def test_by_touch_with_an_assistant_and_a_stretch_without_a_line(browser: Browser, application) -> None:
    mine, theirs = (browser.new_context(viewport=SIZE, locale="en-GB", has_touch=True) for _ in range(2))
    page, assistant = mine.new_page(), theirs.new_page()
    fitter = blind_to_both(page, assistant, application)
    fitter.answer()
    # What is handed next is one word on both screens.
    expect(assistant.get_by_test_id("hand")).to_have_text(fitter.shown)
    for each in (page, assistant):
        each.evaluate("navigator.serviceWorker.ready")
    page.wait_for_timeout(2500)
    pids = servers(application)
    os.kill(application.process.pid, signal.SIGSTOP)
    for pid in pids:
        os.kill(pid, signal.SIGKILL)
    try:
        fitter.play(2)
        for _ in range(2):  # the second reload finds what the first could not read anew
            page.reload()
            expect(page.get_by_test_id("code")).to_be_visible()
            page.wait_for_timeout(6000)
        fitter.play(2)
        # The assistant still sees which word is which club, and what is on its shaft waits for the line.
        assistant.reload()
        expect(assistant.get_by_role("heading", name="Hand the word the fitter calls.")).to_be_visible()
        clubs = assistant.get_by_role("region", name="Which code is which club").get_by_role("button")
        clubs.first.tap()
        expect(clubs.first).to_have_attribute("aria-pressed", "true")
        expect(page.get_by_text(re.compile("changes? wait"))).to_be_visible()
    finally:
        os.kill(application.process.pid, signal.SIGCONT)
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    expect(page.get_by_test_id("handed")).to_have_text("5")
    expect(assistant.get_by_test_id("hand")).to_have_text(fitter.shown)
    assistant.reload()
    expect(clubs.first).to_have_attribute("aria-pressed", "true")
    fitter.play()
    page.get_by_role("group", name="The player’s guess").get_by_role("button").first.tap()
    page.get_by_role("button", name="Only a guess").tap()
    page.get_by_role("button", name="Reveal", exact=True).tap()
    told = page.get_by_role("article", name=re.compile("Blind sole test, 58"))
    expect(told.get_by_test_id("sole-result")).to_contain_text("Gannock 58 W")
    # The assistant's page tells nothing any more.
    expect(assistant.get_by_role("alert")).to_contain_text("opens nothing any more")
    note_on_the_phone(told, assistant, application)
    theirs.close()
    mine.close()

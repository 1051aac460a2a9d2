"""The fitter's own acts: how many a whole visit takes, taking back and doing again, and two screens on one session."""

import re
import time

from playwright.sync_api import Browser, Page, expect
from steps import be_signed_in, session_of
from test_any_club import go

MOST_ACTS = 25
TOGETHER_MS = 300


class Fitter:
    """Keys and touches, counted."""

    def __init__(self, page: Page) -> None:
        self.page, self.acts = page, 0

    def press(self, key: str) -> None:
        self.acts += 1
        self.page.keyboard.press(key)

    def touch(self, what) -> None:
        self.acts += 1
        what.click()


def three_on_the_stand(fitter: Fitter) -> None:
    page = fitter.page
    fitter.press("k")
    for label in ("4H", "9W", "U4"):
        there = page.get_by_role("listitem").filter(has=page.get_by_role("button", name="On the stand"))
        row = there.filter(has=page.get_by_label(f"Shaft for {label}")).first
        fitter.touch(row.get_by_role("button", name="On the stand"))
        expect(row.get_by_text(re.compile("^[ABC]$"))).to_be_visible()
    fitter.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)


def test_a_whole_visit_takes_few_acts_and_each_can_be_taken_back(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, re.compile("Mabel Thorne")).click()
    go(page, "2")
    expect(page.get_by_role("heading", name="Ladder")).to_be_visible()
    fitter = Fitter(page)
    three_on_the_stand(fitter)
    fitter.press("3")
    expect(page.get_by_text("Feed open")).to_be_visible()
    shots = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")

    def hit(count: int) -> None:
        played = application.launch("monitor", "--bay", "Bay 1", "--shots", str(count), "--every", "0.1")
        assert played.returncode == 0, played.stderr
        expect(shots).to_have_count(count)

    def set_aside(strike: str) -> None:
        fitter.press(strike)
        fitter.press("x")
        expect(shots.last.get_by_role("button")).to_have_accessible_name(re.compile("set aside"))

    hit(7)  # the first is in hand
    set_aside("n")
    for letter in "bc":
        fitter.press(letter)
        expect(page.get_by_role("button", name=re.compile(f"^{letter.upper()} "), pressed=True)).to_be_visible()
        hit(7)
        set_aside("y")
    fitter.press("a")
    expect(page.get_by_role("button", name=re.compile("^A "), pressed=True)).to_be_visible()
    fitter.press("s")
    fitter.touch(page.get_by_role("dialog").get_by_role("button", name=re.compile("^2[0-9.]+°$")).first)
    expect(page.get_by_role("button", name=re.compile("^D "), pressed=True)).to_be_visible()
    hit(5)
    print(f"{fitter.acts} acts")
    assert fitter.acts <= MOST_ACTS

    # Named, taken back, done again; what was hit since is not taken off the stand.
    def told(words: str) -> None:
        expect(page.get_by_role("button", name=words)).to_be_visible()

    told("Z takes back: turned D to another setting")
    page.keyboard.press("z")
    expect(page.get_by_role("alert")).to_contain_text("D was hit since it was put up")
    page.keyboard.press("ArrowLeft")
    page.keyboard.press("t")
    expect(shots.nth(3)).to_contain_text("toe")
    told("Z takes back: called a strike")
    page.reload()
    expect(shots.nth(3)).to_contain_text("toe")
    told("Z takes back: called a strike")
    page.keyboard.press("z")
    expect(shots.nth(3)).not_to_contain_text("toe")
    told("⇧Z does again: called a strike")
    page.keyboard.press("Shift+Z")
    expect(shots.nth(3)).to_contain_text("toe")


def test_two_screens_of_a_session_show_the_same_at_once_and_keys_without_a_line_come_in_order(
    page: Page, browser: Browser, application
) -> None:
    be_signed_in(page, application)
    session_of(page, "Ines Duarte").click()
    go(page, "3")
    other = browser.new_context(viewport={"width": 1280, "height": 800}, locale="en-GB")
    second = other.new_page()
    be_signed_in(second, application)
    second.goto(page.url)
    row = "list", {"name": "Shots of this build"}
    mine, theirs = (each.get_by_role(row[0], **row[1]).get_by_role("listitem").last for each in (page, second))
    for each in (page, second):
        expect(each.get_by_text("Feed open")).to_be_visible()

    took, asked = [], []
    read = """async address => {
        const begun = performance.now();
        await (await fetch(address)).json();
        return performance.now() - begun;
    }"""
    for key, word in (("t", "toe"), ("l", "heel"), ("k", "high"), ("j", "low"), ("n", "thin"), ("y", "fat")):
        begun = time.monotonic()
        page.keyboard.press(key)
        second.wait_for_function(
            """word => [...document.querySelectorAll('ol[aria-label="Shots of this build"] li')].at(-1)
                ?.textContent.includes(word)""",
            arg=word,
            polling=10,
        )
        took.append(1000 * (time.monotonic() - begun))
        page.wait_for_timeout(1000)  # a fitter's next key
        asked.append(second.evaluate(read, page.url.replace("/sessions", "/api/sessions").removesuffix("/bay")))
    print("from a key on one screen to the other, ms:", [round(each) for each in took])
    print("the same session only read, ms:", [round(each) for each in asked])
    # A busy machine is slow, not wrong: then the reading is as slow.
    assert min(took) < max(TOGETHER_MS, 3 * min(asked))

    # Off the line each key is kept and done in order, once the line is back.
    other.set_offline(True)
    for key in "tx":
        second.keyboard.press(key)
    expect(theirs.get_by_role("button")).to_have_accessible_name(re.compile("set aside"))
    expect(second.get_by_text(re.compile("wait for the line"))).to_be_visible()
    expect(mine.get_by_role("button")).not_to_have_accessible_name(re.compile("set aside"))
    other.set_offline(False)
    expect(mine.get_by_role("button")).to_have_accessible_name(re.compile("set aside"))
    expect(mine).to_contain_text("toe")
    other.close()

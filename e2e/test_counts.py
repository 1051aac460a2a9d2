"""Two visits, and how many keys or touches they take: the fitter has a customer beside him, and one hand."""

from __future__ import annotations

import re
from dataclasses import dataclass
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Locator, Page, expect
from steps import DEMO, be_signed_in

MOST_KEYS, MOST_TOUCHES = 230, 45
MOST_TABS = 8
TABLET = {"width": 1024, "height": 768}
STEPS = (-4, -2, 0, 1, 2, 3)
LONG = {"A": (176, 47, 84), "B": (181, 44, 78), "C": (184, 39, 66)}
WEDGES = {"PW": "118", "50": "104", "54": "92", "58": "79"}


@dataclass
class Keys:
    """By keyboard alone: each key counts, each letter that is typed too."""

    page: Page
    count: int = 0
    most = MOST_KEYS

    def press(self, key: str, times: int = 1) -> None:
        for _ in range(times):
            self.page.keyboard.press(key)
        self.count += times

    def type(self, text: str) -> None:
        self.page.keyboard.type(text)
        self.count += len(text)

    def act(self, key: str, what: Locator) -> None:
        """What has a key of its own."""
        expect(what).to_be_visible()
        self.press(key)

    def go(self, what: Locator) -> None:
        """To what is reached by Tab, a few steps away at most, and Enter."""
        expect(what).to_be_enabled()
        for _ in range(MOST_TABS):
            if what.evaluate("(each) => each === document.activeElement"):
                break
            self.press("Tab")
        expect(what).to_be_focused()
        self.press("Enter")

    def write(self, what: Locator, text: str) -> None:
        if not what.evaluate("(each) => each === document.activeElement"):
            self.press("Tab")
        expect(what).to_be_focused()
        self.type(text)

    def send(self, _button: Locator) -> None:
        """What is written goes in by Enter."""
        self.press("Enter")

    def leave(self, _button: Locator) -> None:
        self.press("Escape")

    def open_rack(self) -> None:
        self.press("k")
        expect(self.page.get_by_label("Label, loft, maker or model")).to_be_focused()

    def take_up(self, head: str) -> None:
        self.type(head)
        self.press("Enter")


@dataclass
class Touches:
    """By touch alone: each touch counts, the one into a field too; the letters of the screen's own keyboard do not."""

    page: Page
    count: int = 0
    most = MOST_TOUCHES

    def act(self, _key: str, what: Locator) -> None:
        self.go(what)

    def go(self, what: Locator) -> None:
        what.tap()
        self.count += 1

    def press(self, _key: str, _times: int = 1) -> None:
        """What only keys need."""

    def write(self, what: Locator, text: str) -> None:
        if not what.evaluate("(each) => each === document.activeElement"):
            self.go(what)
        what.fill(text)

    def send(self, button: Locator) -> None:
        self.go(button)

    def leave(self, button: Locator) -> None:
        self.go(button)

    def open_rack(self) -> None:
        self.go(self.page.get_by_role("button", name=re.compile("Candidates from the rack")))

    def take_up(self, head: str) -> None:
        self.go(self.page.get_by_role("button", name=re.compile(f"^On the stand: {head}")).first)


Hand = Keys | Touches


def builds_file(folder: Path) -> Path:
    rows = [
        f"{letter},{carry + off},{carry + off + 9},{landing},{peak}"
        for letter, (carry, landing, peak) in LONG.items()
        for off in STEPS
    ]
    file = folder / "builds.csv"
    file.write_text("\n".join(["Club,Carry (yd),Total (yd),Landing Angle (deg),Peak Height (ft)", *rows]) + "\n")
    return file


def begins(hand: Hand, name: str) -> None:
    page = hand.page
    hand.act("n", page.get_by_role("button", name="New customer"))
    hand.write(page.get_by_label("Customer’s name"), name)
    hand.send(page.get_by_role("button", name="Start"))
    expect(page.get_by_role("heading", name="What must the club do?")).to_be_visible()


def takes_in(hand: Hand, file: Path, shots: int) -> None:
    page = hand.page
    hand.act("i", page.get_by_role("button", name="Import shots").first)
    page.get_by_label("Shots file").set_input_files(file)
    hand.count += 1
    hand.go(page.get_by_role("button", name=f"Take in {shots} shots"))
    expect(page.get_by_role("dialog")).to_have_count(0)


def decides(hand: Hand) -> None:
    page = hand.page
    hand.act("4", page.get_by_role("link", name=re.compile(r"^\d Bench$")))
    expect(page.get_by_test_id("choice")).to_be_visible()
    hand.act("5", page.get_by_role("link", name=re.compile(r"^\d Handover$")))
    agree = page.get_by_role("button", name="Agree", exact=True)
    expect(agree).to_be_enabled()
    hand.act("y", agree)
    hand.go(page.get_by_role("button", name="Yes, that is it"))
    expect(page.get_by_text(re.compile("^✓ Agreed .* by Rowan Ashby$"))).to_be_visible()


def long_end(hand: Hand, folder: Path) -> None:
    """Three builds, from the file of a monitor."""
    page = hand.page
    begins(hand, "Ebba Quill")
    hand.press("j")
    hand.go(page.get_by_role("button", name="+ Long par three"))
    hand.go(page.get_by_role("button", name="+ Second into a par five"))
    hand.act("2", page.get_by_role("link", name=re.compile(r"^\d Bag$")))
    takes_in(hand, DEMO, 54)
    hand.act("l", page.get_by_role("tab", name=re.compile("Short list")))
    expect(page.get_by_role("button", name="Put 3 on the stand")).to_be_enabled()
    hand.act("u", page.get_by_role("button", name="Put 3 on the stand"))
    expect(page.get_by_role("link", name="A, B and C on the stand: to the bay")).to_be_visible()
    takes_in(hand, builds_file(folder), 18)
    decides(hand)


def short_end(hand: Hand, application) -> None:
    """The own wedges typed, three from the rack, hit under a monitor that sends."""
    page = hand.page
    hand.act("0", page.get_by_role("link", name="To the desk"))
    expect(page.get_by_role("heading", name="Visits")).to_be_visible()
    begins(hand, "Ulla Brandt")
    hand.go(page.get_by_role("button", name="The wedges"))
    hand.act("2", page.get_by_role("link", name=re.compile(r"^\d Bag$")))
    expect(page.get_by_role("tab", name=re.compile("Short end"), selected=True)).to_be_visible()
    hand.act("v", page.get_by_role("button", name=re.compile("Averages")).first)
    for row, (club, carry) in enumerate(WEDGES.items()):
        if row == 0:
            hand.press("Tab", 14)  # three irons stand before the first wedge
            hand.write(page.get_by_label(f"Balls of {club}"), "5")
        else:
            hand.press("Tab", 4)
        hand.write(page.get_by_label(f"Carry of {club}"), carry)
    expect(page.get_by_label("Balls of 58")).to_have_value("5")
    hand.send(page.get_by_role("dialog").get_by_role("button", name="Take them"))
    expect(page.get_by_role("dialog")).to_have_count(0)
    hand.open_rack()
    for head in ("50", "54 M", "58 M"):
        hand.take_up(head)
    hand.leave(page.get_by_role("dialog").get_by_role("button", name="Close"))
    hand.act("3", page.get_by_role("link", name=re.compile(r"^\d Bay$")))
    shots = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")
    for letter in "ABC":
        hand.act(letter.lower(), page.get_by_role("button", name=re.compile(f"^{letter} ")).first)
        expect(shots).to_have_count(0)
        assert application.launch("monitor", "--bay", "Bay 1", "--shots", "6", "--every", "0.05").returncode == 0
        expect(shots).to_have_count(6)
    decides(hand)


@pytest.mark.parametrize("by", [Keys, Touches])
def test_two_visits_take_few_keys_and_few_touches(browser: Browser, application, tmp_path: Path, by) -> None:
    size = {"width": 1280, "height": 800} if by is Keys else TABLET
    context = browser.new_context(viewport=size, locale="en-GB", has_touch=by is Touches, service_workers="block")
    hand: Hand = by(context.new_page())
    be_signed_in(hand.page, application)
    long_end(hand, tmp_path)
    first = hand.count
    short_end(hand, application)
    print(f"{by.__name__}: {first} and {hand.count - first}, {hand.count} together")
    context.close()
    assert hand.count <= hand.most

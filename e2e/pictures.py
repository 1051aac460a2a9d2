"""Take the pictures in docs/screenshots from a fresh demo: `.venv/bin/python e2e/pictures.py`."""

from __future__ import annotations

import re
import shutil
import sys
from pathlib import Path

sys.path.insert(0, str(Path(__file__).resolve().parents[1]))

from conftest import ROOT, Application, running
from playwright.sync_api import Page, expect, sync_playwright
from steps import MET, session_of

OUT = ROOT / "docs" / "screenshots"
LIGHT, DARK = "chalk", "dusk"
VIEWS = [("brief", LIGHT), ("bag", LIGHT), ("bay", DARK), ("bench", LIGHT), ("handover", LIGHT)]


def sole_test(page: Page) -> None:
    """A blind test begun, two codes handed."""
    page.goto(page.url.replace("/bench?tab=tests", "/soles"))
    page.get_by_role("button", name="Draw the codes").click()
    page.get_by_role("button", name="Taped: to the Bay").click()
    handed = page.get_by_test_id("handed")
    handed.wait_for()
    page.wait_for_timeout(500)
    for keys, count in ((["Shift+S"], "1"), (["ArrowUp", "Shift+D"], "2")):
        for key in keys:
            page.keyboard.press(key)
        expect(handed).to_have_text(count)
    page.evaluate("document.documentElement.dataset.theme = 'dusk'")
    shot(page, "sole-test-dark")
    page.evaluate("document.documentElement.dataset.theme = 'chalk'")


def lists(page: Page) -> None:
    """The lists under the carry map."""
    page.get_by_role("tab", name="Short list").wait_for()
    for key, name, there in (("l", "shortlist", "Should save"), ("p", "plans", "Strokes saved a round")):
        page.keyboard.press(key)
        page.get_by_text(there).first.wait_for()
        shot(page, name)


def flight(page: Page, session: str) -> None:
    page.goto(f"{session}/bench?tab=flight")
    page.get_by_role("img", name=re.compile("Landing zone")).wait_for()
    shot(page, "flight")


def take(page: Page, application: Application) -> None:
    page.add_init_script(f"localStorage.setItem('hemicycle.met.fitter', '{MET}')")
    page.goto(application.address)
    page.get_by_label("Name").fill("fitter")
    page.get_by_label("Password").fill(application.password)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Visits").wait_for()
    shot(page, "desk")
    first_page(page, application)
    session_of(page, "Ines Duarte").click()
    session = page.url.rsplit("/", 1)[0]
    for place, theme in VIEWS:
        page.evaluate(f"localStorage.setItem('hemicycle-theme', '{theme}')")
        page.goto(f"{session}/{place}")
        shot(page, place if theme == "chalk" else f"{place}-dark")
    page.evaluate("localStorage.setItem('hemicycle-theme', 'chalk')")
    flight(page, session)
    page.goto(f"{session}/bag")
    lists(page)
    players(page, application, session)
    page.goto(application.address)
    session_of(page, "Yusuf Tarrant").click()
    page.goto(re.sub("/[a-z]+$", "/brief", page.url))
    shot(page, "wedges")
    page.goto(page.url.replace("/brief", "/bag"))
    shot(page, "short-end")
    page.goto(page.url.replace("/bag", "/bench?tab=tests"))
    page.get_by_role("region", name="Grooves, old against new").wait_for()
    shot(page, "short-tests")
    sole_test(page)
    page.goto(f"{application.address}/rack")
    page.get_by_role("link", name="Write out CSV").wait_for()
    shot(page, "rack")
    page.goto(f"{application.address}/shop?part=thresholds")
    shot(page, "shop")
    page.goto(application.address)
    session_of(page, re.compile("Tunde Bakare.*Recommended")).click()
    page.get_by_role("heading", name="Tunde Bakare", level=1).get_by_role("link").click()
    page.get_by_role("heading", name="Their data").wait_for()
    shot(page, "customer")
    page.goto(application.address)
    session_of(page, re.compile("Tunde Bakare.*Recommended")).click()
    page.goto(page.url.replace("/handover", "/page"))
    page.get_by_role("heading", name="Your new club").wait_for()
    page.screenshot(path=OUT / "page.png", full_page=True)


def first_page(page: Page, application: Application) -> None:
    """The step of the bays; nothing is opened."""
    page.goto(f"{application.address}/open")
    page.get_by_label("What your shop is called").fill("Westmark Fitting")
    page.keyboard.press("Enter")
    for label, word in (("Your name", "Ines Moor"), ("Sign in as", "ines"), ("Password", "nobody guesses this")):
        page.get_by_label(label).fill(word)
    page.keyboard.press("Enter")
    page.get_by_role("radio", name=re.compile("^Firm")).check()
    page.get_by_role("button", name="Next").click()
    page.get_by_role("button", name="One more bay").click()
    shot(page, "opening")
    page.goto(application.address)


def players(page: Page, application: Application, session: str) -> None:
    """The player's own screen: what it asks."""
    page.goto(f"{session}/bay")
    page.get_by_role("button", name="Open a screen").click()
    page.get_by_role("dialog").get_by_role("button", name="Open a screen").click()
    code = page.get_by_test_id("player-code").inner_text()
    player = page.context.browser.new_page(viewport={"width": 1280, "height": 800}, locale="en-GB")
    player.goto(f"{application.address}/player/{code}")
    player.get_by_test_id("ask-feel").wait_for()
    shot(player, "player-feel")
    player.close()


def shot(page: Page, name: str) -> None:
    # The live stream keeps the network busy, so there is no idle to wait for.
    expect(page.get_by_text(re.compile("^Reading "))).to_have_count(0, timeout=20_000)
    page.wait_for_timeout(900)
    page.screenshot(path=OUT / f"{name}.png")


def main() -> None:
    with running() as application, sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path=shutil.which("chromium"), args=["--disable-gpu"])
        take(browser.new_page(viewport={"width": 1280, "height": 800}, locale="en-GB"), application)
        browser.close()


if __name__ == "__main__":
    main()

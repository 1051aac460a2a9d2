"""What every walk through the application does."""

from __future__ import annotations

import json
import re
import time
from collections.abc import Callable
from pathlib import Path

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Locator, Page, expect

PATIENCE_S = 150  # a slow machine is slow, not wrong
DEMO = Path(__file__).resolve().parents[1] / "demo" / "monitor-export.csv"

# Buttons fade from one theme to the other: what is looked at has arrived. What was folded while it faded stands still
# and never ends.
TURNED = """async (theme) => {
  document.documentElement.dataset.theme = theme;
  await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
  const fading = document.getAnimations()
    .filter((each) => each instanceof CSSTransition && each.effect.target.checkVisibility());
  await Promise.allSettled(fading.map((each) => each.finished));
}"""


def comes(met: Callable[[], bool]) -> bool:
    """Wait until it is so; whether it came to be."""
    until = time.monotonic() + PATIENCE_S
    while not (so := met()) and time.monotonic() < until:
        time.sleep(0.1)
    return so


def running_servers(application) -> list[int]:
    found: list[int] = json.loads((application.home / "run.json").read_text())["servers"]
    return found


def servers(application) -> list[int]:
    """Its server processes, once both of them serve or are about to."""
    comes(lambda: len(running_servers(application)) == 2)
    return running_servers(application)


def sign_in(page: Page, application) -> None:
    """As it is done on the screen."""
    page.goto(application.address)
    page.get_by_label("Name").fill("fitter")
    page.get_by_label("Password").fill(application.password)
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_role("heading", name="Visits")).to_be_visible()


MET = "/ /customers /rack /shop brief bag bay bench handover"


def be_signed_in(page: Page, application) -> None:
    """On the desk, signed in beside the screen, as one who has met every place before."""
    page.add_init_script(f"localStorage.setItem('hemicycle.met.fitter', '{MET}')")
    page.request.get(f"{application.address}/api/me")
    token = next(each["value"] for each in page.context.cookies() if each["name"] == "csrftoken")
    body = {"username": "fitter", "password": application.password}
    answer = page.request.post(f"{application.address}/api/sign-in", data=body, headers={"X-CSRFToken": token})
    assert answer.ok, answer.text()
    page.goto(application.address)
    expect(page.get_by_role("heading", name="Visits")).to_be_visible()


def session_of(page: Page, name: str | re.Pattern[str]) -> Locator:
    """The line of the desk that opens somebody's session; the bays have them too."""
    return page.get_by_role("list", name="Visits").get_by_role("link", name=name).first


COLOURS = {"runOnly": {"type": "rule", "values": ["color-contrast"]}}  # all that a theme changes


def accessible(page: Page) -> None:
    """Nothing that axe finds by any of its rules, best practices too, in either theme."""
    for theme, rules in (("dusk", COLOURS), ("chalk", None)):
        page.evaluate(TURNED, theme)
        found = Axe().run(page, options=rules)
        assert found.violations_count == 0, f"{page.url} {theme}: {found.generate_report()}"

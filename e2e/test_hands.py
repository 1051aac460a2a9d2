"""Every place, tab and sheet, by what axe finds in both themes and by what a finger meets."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Browser, Page
from steps import accessible, be_signed_in, session_of

TABLET = {"width": 1024, "height": 768}
SHOP = ["/", "/customers", "/customers/1", "/rack", "/rack?part=shafts", "/shop", "/you"]
PLACES = [
    "brief", "bag?part=stand", "bag?part=list", "bag?part=plans", "bag?part=wedges", "bag?sheet=import",
    "bag?sheet=rack", "bag?sheet=other", "bag?sheet=averages", "bay", "bay?sheet=more", "bay?sheet=run",
    "bay?sheet=trail", "bay?sheet=type", "bay?sheet=player", "bay?sheet=felt", "bay?sheet=move", "bay?sheet=wanted",
    "bay?sheet=setting", "bench?tab=which", "bench?tab=flight",
    "bench?tab=tests", "bench?tab=what-if", "handover", "page", "card", "soles", "pad",
]  # fmt: skip

# What is smaller than 44 by 44, but for links in a text, words with a dotted line and sliders (their steps have
# buttons).
SMALL = """() => [...(document.querySelector("dialog[open]") ?? document)
    .querySelectorAll("button, select, input, textarea, summary, a, [role=tab]")]
  .filter((each) => each.checkVisibility({ visibilityProperty: true, opacityProperty: true })
    && !each.closest(".sr-only, .term") && each.type !== "range"
    && !(each.tagName === "A" && getComputedStyle(each).display === "inline"))
  .map((each) => [each, (["checkbox", "radio"].includes(each.type) ? each.closest("label") ?? each : each)
    .getBoundingClientRect()])
  .filter(([, box]) => box.width > 1 && (box.width < 43.5 || box.height < 43.5))
  .map(([each, box]) => `${each.ariaLabel ?? (each.textContent || each.name)} ${box.width} by ${box.height}`)"""
READ = "() => document.querySelector('h1') !== null && !document.querySelector('[aria-busy=true]')"


def looked_at(page: Page, address: str) -> list[str]:
    page.goto(address)
    page.wait_for_function(READ)
    page.evaluate("document.querySelectorAll('details').forEach((each) => { each.open = true; })")
    accessible(page)
    wide = page.evaluate("document.documentElement.scrollWidth - innerWidth")
    if address.endswith("part=stand"):
        page.get_by_role("table").get_by_role("button").first.tap()
        page.wait_for_url("**club=*")
        accessible(page)
    if address.endswith("/bay"):
        page.keyboard.press("?")
        page.get_by_role("dialog", name="Keys").wait_for()
        accessible(page)
    return [*([f"{wide} px wider than the window"] if wide > 1 else []), *page.evaluate(SMALL)]


@pytest.mark.parametrize("who", ["", "Ines Duarte", "Yusuf Tarrant"])
def test_nothing_is_too_small_for_a_finger_and_axe_finds_nothing(browser: Browser, application, who: str) -> None:
    context = browser.new_context(viewport=TABLET, locale="en-GB", has_touch=True, service_workers="block")
    page = context.new_page()
    be_signed_in(page, application)
    if who:
        session_of(page, who).click()
        page.wait_for_url("**/sessions/**")
        base = re.sub(r"/sessions/(\d+)/.*", r"/sessions/\1/", page.url)
        addresses = [base + each for each in PLACES]
    else:
        addresses = [application.address + each for each in SHOP]
    found = {each: wrong for each in addresses if (wrong := looked_at(page, each))}
    context.close()
    assert not found, "\n".join(f"{each}: {wrong}" for each, wrongs in found.items() for wrong in wrongs)

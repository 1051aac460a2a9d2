"""Every place read in a made-up language and in metres: no text stands outside the catalogue, no unit but the chosen
ones, and nothing is cut off when words are two fifths longer."""

from __future__ import annotations

import json
import re
from collections.abc import Iterator
from typing import Any

from playwright.sync_api import Page, Response
from steps import be_signed_in

UNITS = {"far": "m", "high": "ft", "speed": "kmh", "warmth": "c", "club_length": "mm"}
PLACES = (
    "brief", "bag", "bay", "bench", "bench?tab=flight", "bench?tab=tests", "bench?tab=what-if", "handover", "soles",
    "page",
)  # fmt: skip
OUTSIDE = (
    "/", "/customers", "/rack", "/pad", "/shop?part=you", "/shop?part=people", "/shop?part=thresholds",
    "/shop?part=data", "/shop?part=keys", "/shop?part=called",
)  # fmt: skip
# What somebody typed, by the name it travels under.
TYPED = re.compile(
    r"name|maker|model|label|shaft|customer|called|word|club|reasons|why|sole|course|job|note|said|words|flex|material|shop"
)
# Of the browser's own: dates, times, the names of currencies.
OWN = re.compile(r"^\d{1,2} \w+( \d{4})?$|^under 1%$")
WORD = re.compile(r"[A-Za-z’]{3,}")
OTHER_UNITS = re.compile(r"\d (yd|mph|in)\b|\b(yards|miles|inches)\b")

READ = """() => {
    const found = [], walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
        if (!node.parentElement.closest("script, style, code, textarea")) found.push(node.textContent.trim());
    for (const each of document.querySelectorAll("[aria-label], [title], [placeholder]"))
        for (const name of ["aria-label", "title", "placeholder"]) found.push(each.getAttribute(name) ?? "");
    return found.filter(Boolean);
}"""
OVER = "() => document.documentElement.scrollWidth - document.documentElement.clientWidth"


def typed(answer: Any, key: str = "") -> Iterator[str]:
    """Every text of an answer that a person typed, not said by the product."""
    if isinstance(answer, dict):
        for name, each in answer.items():
            if name != "say":
                yield from typed(each, name)
    elif isinstance(answer, list):
        for each in answer:
            yield from typed(each, key)
    elif isinstance(answer, str) and TYPED.search(key):
        yield answer


def plain(text: str, names: set[str]) -> bool:
    """Whether it is a text of the product that nobody put into the made-up language, or in another unit."""
    if text in names:
        return False
    bare = [word for word in WORD.findall(text) if re.search("[aceinouyACEINOUY]", word) and word not in names]
    return bool(OTHER_UNITS.search(text) or (bare and "~" not in text and not OWN.search(text)))


def test_every_place_in_a_made_up_language_in_metres_and_nothing_breaks(page: Page, application):
    names: set[str] = set()

    asked: set[str] = set()

    def heard(response: Response) -> None:
        kind = response.headers.get("content-type", "")
        if "/api/" in response.url and "json" in kind and response.request.method == "GET" and response.ok:
            asked.add(response.url)

    page.on("response", heard)
    be_signed_in(page, application)
    token = next(each["value"] for each in page.context.cookies() if each["name"] == "csrftoken")
    chosen = page.request.put(f"{application.address}/api/me/units", data=UNITS, headers={"X-CSRFToken": token})
    assert chosen.ok, chosen.text()
    # As a device has them that knew both before: a page in other units is loaded anew once.
    kept = json.dumps(json.dumps({**UNITS, "currency": "GBP"}))
    page.add_init_script(f"localStorage.setItem('language', 'en-x-pseudo'); localStorage.setItem('units', {kept})")
    page.goto(application.address)
    page.get_by_role("link", name="Yusuf Tarrant").first.wait_for()
    sessions = sorted(
        {
            str(link.get_attribute("href")).rsplit("/", 1)[0]
            for name in ("Ines Duarte", "Yusuf Tarrant", "Bram Oseke", "Noor Haverkamp")
            for link in page.get_by_role("link", name=name).all()
        }
    )
    wrong, broken = [], []
    for path in (*OUTSIDE, *(f"{session}/{place}" for session in sessions for place in PLACES)):
        page.goto(application.address + path)
        page.wait_for_load_state("networkidle")
        texts = page.evaluate(READ)
        while asked:
            for text in typed(page.request.get(asked.pop()).json()):
                names |= {text, *WORD.findall(text)}
        assert len(texts) > 5, path
        wrong += [f"{path}: {text}" for text in texts if plain(text, names)]
        for width in (1280, 1024):
            page.set_viewport_size({"width": width, "height": 800})
            if page.evaluate(OVER) > 0:
                broken.append(f"{path} at {width}: {page.evaluate(OVER)} px too wide")
    assert not wrong, "\n".join(sorted(set(wrong)))
    assert not broken, "\n".join(broken)

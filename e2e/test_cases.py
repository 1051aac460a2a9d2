"""Six cases as a master tells them, each with his answer, which Bench, Plans, Handover and the customer's page give."""

from __future__ import annotations

import re
from dataclasses import dataclass, field
from typing import Any

from playwright.sync_api import Page, expect
from steps import be_signed_in

STEPS = (-1.5, -1.0, -0.5, 0.0, 0.0, 0.5, 1.0, 1.5)
# A player who drives 224 yd, his carries as he says them: nothing between the 5 iron and the 5 wood.
OWN = {"58°": 70, "54°": 88, "PW": 112, "9i": 124, "8i": 136, "7i": 147, "6i": 155, "5i": 162, "5W": 196, "Dr": 224}
LOFTS = {"hybrid": 22, "utility": 20, "fairway": 18, "wedge": 50}


@dataclass(frozen=True)
class Club:
    """A club of the stand as it was hit: carry in yards, landing, how wide its carries lie, and the player's word."""

    carry: float
    landing: float = 46.0
    wide: float = 2.0
    kind: str = "hybrid"
    liking: str = "neutral"


@dataclass(frozen=True)
class Told:
    """A case: what stands there, what was asked, what comes in and leaves, and words that must be said."""

    name: str
    builds: tuple[Club, ...]
    comes: tuple[str, ...]
    says: str
    own: dict[str, float] = field(default_factory=lambda: OWN)
    hit: dict[str, Club] = field(default_factory=dict)
    leaves: tuple[str, ...] = ()
    jobs: tuple[dict[str, Any], ...] = ()
    brief: dict[str, Any] = field(default_factory=dict)
    ask: dict[str, Any] = field(default_factory=dict)
    like: str = ""


def green(name: str, yd: float, uses: float = 1.0, **more: Any) -> dict[str, Any]:
    return {
        "name": name, "kind": "green", "distance_m": yd * 0.9144, "carry_over_m": None, "width_m": 28, "depth_m": 26,
        "firmness": "medium", "uses_per_round": uses, **more,
    }  # fmt: skip


COURSES = [
    {"name": "Home", "kind": "home", "firmness": "medium", "share": 60},
    {"name": "Links", "kind": "trip", "firmness": "firm", "share": 40},
]
CASES = [
    Told("Trust decides a tie", (Club(179, liking="disliked"), Club(179.4, liking="liked")), ("B",),
         "B is the one the player trusts more"),
    Told("A yardage by name", (Club(170), Club(184)), ("A",), "A carries what was asked for",
         jobs=(green("Long par three", 188, 3.0),),
         ask={"named": {"low_m": 166 * 0.9144, "high_m": 174 * 0.9144, "total": False}}),
    Told("A hole nobody named a job in", (Club(179),), ("A",), "A fills the hole",
         jobs=(green("Short four", 118, 2.0),)),
    Told("A replaced iron", (Club(176, 41), Club(184, 46)), ("B",), "carries further than the 4i and lands softer",
         own={**OWN, "4i": 174}, hit={"4i": Club(174, 39, kind="iron")}, leaves=("4i",), like="4i",
         ask={"wish": "replace", "ways": ["longer", "softer"]}),
    Told("A pair by course", (Club(176, 49), Club(188, 47)), ("A", "B"), "A .* in, and B .* for A .* on Links",
         jobs=(green("Home three", 176, 6.0, course="Home", depth_m=18),
               green("Links three", 189, 5.0, course="Links", depth_m=18)),
         brief={"courses": COURSES, "most_clubs": 12}),
    Told("A wedge step of twice the wish", (Club(91, 50, kind="wedge"),), ("A",), "A (fills|comes nearest)",
         own={name: yd for name, yd in OWN.items() if name != "54°"}, brief={"end": "short", "sole": "As it is"}),
]  # fmt: skip


def call(page: Page, method: str, path: str, body: Any) -> Any:
    """What the screens ask of the server, asked from the page that is signed in."""
    made = page.evaluate(
        """async ([method, path, body]) => {
            const token = document.cookie.match(/csrftoken=([^;]+)/)?.[1] ?? "";
            const headers = {"Content-Type": "application/json", "X-CSRFToken": token, "Prefer": "words"};
            const sent = method === "GET" ? {} : {body: JSON.stringify(body)};
            const told = await fetch("/api/" + path, {method, headers, ...sent});
            return [told.status, await told.json()];
        }""",
        [method, path, body],
    )
    assert made[0] < 300, (path, made)
    return made[1]


def rows(name: str, club: Club) -> list[str]:
    wide = club.wide / 1.1
    return [f"{name},{club.carry + wide * off},{club.carry + 7 + wide * off},{club.landing + off / 2}" for off in STEPS]


def stood(page: Page, told: Told) -> int:
    customer = call(page, "POST", "customers", {"name": told.name, "hand": "right"})["id"]
    bay = call(page, "GET", "me", None)["bays"][0]["id"]
    session = call(page, "POST", "sessions", {"customer": customer, "bay": bay})["id"]
    for name, yd in told.own.items():
        call(page, "POST", f"sessions/{session}/clubs", {"name": name, "typed_carry_m": yd * 0.9144})
    for number, club in enumerate(told.builds):
        name = f"Try {number + 1}"
        call(page, "POST", f"sessions/{session}/borrowed",
             {"name": name, "head_type": club.kind, "loft_deg": LOFTS[club.kind]})  # fmt: skip
    lines = ["Club,Carry (yd),Total (yd),Landing Angle (deg)"]
    for letter, club in zip("ABC", told.builds, strict=False):
        lines += rows(letter, club)
    for name, club in told.hit.items():
        lines += rows(name, club)
    call(page, "POST", f"sessions/{session}/import", {"file_name": "case.csv", "text": "\n".join(lines) + "\n"})
    found = call(page, "PATCH", f"sessions/{session}/brief",
                 {"now": {"miss": "none", "firmness": "medium", "jobs": told.jobs, **told.brief}})  # fmt: skip
    by_name = {each["letter"] or each["name"]: each["id"] for each in found["builds"]}
    for letter, club in zip("ABC", told.builds, strict=False):
        if club.liking != "neutral":
            call(page, "PUT", f"builds/{by_name[letter]}", {"liking": club.liking})
    if told.ask:
        held = {"like_for": by_name[told.like]} if told.like else {}
        call(page, "PUT", f"sessions/{session}/gap", {"rule": "roll_out", "clubs_to_place": 1, **told.ask, **held})
    return int(session)


def test_six_cases_are_answered_as_a_master_would_and_alike_on_every_page(page: Page, application) -> None:
    be_signed_in(page, application)
    for told in CASES:
        session = stood(page, told)
        page.goto(f"{application.address}/sessions/{session}/bench")
        headline = page.get_by_test_id("choice")
        expect(headline, told.name).to_contain_text(re.compile(told.says))
        said = call(page, "GET", f"sessions/{session}/bench", None)["choice"]
        assert tuple(said["letters"]) == told.comes, (told.name, said["sentence"])
        assert tuple(said["leaves"]) == told.leaves, (told.name, said)
        page.keyboard.press("2")
        expect(page.get_by_role("group", name=f"Carry map of {told.name}")).to_be_visible()
        page.keyboard.press("p")
        plans = page.get_by_role("region", name="Plans for the bag")
        expect(plans, told.name).to_contain_text(said["sentence"])
        page.keyboard.press("5")
        expect(page.get_by_text(said["sentence"]).first, told.name).to_be_visible()
        for letter in told.comes:
            kind = "checkbox" if len(told.comes) > 1 else "radio"
            expect(page.get_by_role(kind, name=re.compile(f"^{letter} ")), told.name).to_be_checked()
        page.get_by_role("button", name="Agree").click()
        page.get_by_role("button", name="Yes, that is it").click()
        page.get_by_role("link", name="Page for the customer").click()
        expect(page.get_by_role("heading", name=re.compile("^Your new club")), told.name).to_be_visible()

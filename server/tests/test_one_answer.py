"""One answer: whatever stands on the stand, Bench, Plans, Handover, Next, the bundle and the command name the same bag
with the same worth."""

import itertools
import json
import os
import re

import numpy as np
import pytest
from django.core.serializers.json import DjangoJSONEncoder
from fitting.actions import builds, shots
from fitting.domain.bundle import present_bundle
from fitting.domain.session import load
from fitting.models import Build, FittingSession
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.units import shown
from rack.models import Head, Shaft

JSON = "application/json"
STANDS = int(os.environ.get("HEMICYCLE_STANDS", "50"))
LIKES = ("neutral", "liked", "disliked", "vetoed")


def struck(session, build, carry, landing, spread, n, chance):
    """n shots of a club about a carry in yards."""
    rows = []
    for _ in range(n):
        at = carry + spread * chance.normal()
        rows.append(
            {"carry_m": 0.9144 * at, "total_m": 0.9144 * (at + 7), "landing_deg": landing + chance.normal(),
             "offline_m": 4 * chance.normal(), "peak_m": 27.0, "spin_rpm": 4600.0}
        )  # fmt: skip
    shots.take_in(session, shots.run_for(session, build), rows)


def stand(desk, session, seed):
    """A stand of its own: builds about the hole, a bag half hit and half typed, jobs in the hole or none, one or two
    courses and wind, likes, a budget, a limit, a place or two, each wish in turn."""
    chance = np.random.default_rng(seed)
    shaft = Shaft.objects.get(name="Fenlark 65 H")
    for label in ("5H",)[: int(chance.integers(0, 2))]:
        head = Head.objects.get(label=label, model="Skerry")
        builds.add_candidates(session.fitter, session.pk, [builds.CandidateChoice(head.pk, shaft.pk)])
    for name, carry in (("SW", 84), ("PW", 118)):
        builds.add_club(session.fitter, session.pk, name=name, typed_carry_m=0.9144 * carry)
    for build in Build.objects.filter(session=session).exclude(letter="").order_by("letter"):
        struck(session, build, chance.uniform(166, 196), chance.uniform(40, 50), chance.uniform(2, 6),
               int(chance.integers(2, 10)), chance)  # fmt: skip
        liking = LIKES[int(chance.choice(4, p=[0.5, 0.2, 0.2, 0.1]))]
        Build.objects.filter(pk=build.pk).update(price=int(chance.integers(150, 400)), liking=liking)
    wish = ("gap", "gap", "gap", "named", "like", "replace", "flight", "far")[seed % 8]
    held = {}
    for build in Build.objects.filter(session=session, letter="", name__in=("5W", "6i")):
        if chance.random() < 0.5 or wish in ("like", "replace", "flight", "far"):
            struck(session, build, {"5W": 196, "6i": 151}[build.name], 46, 4, 5, chance)
            held[build.name] = build.pk
    job = {
        "name": "Second", "kind": "green", "distance_m": 0.9144 * chance.uniform(150, 200), "carry_over_m": None,
        "width_m": 22, "depth_m": 26, "firmness": "medium", "uses_per_round": float(chance.uniform(0.5, 3)),
    }  # fmt: skip
    links = {
        **job,
        "name": "Into the wind",
        "course": "Links",
        "wind_mps": 7.0,
        "wind_from_deg": [0.0, 90.0, None][seed % 3],
    }
    two = seed % 7 == 0
    now = {
        "miss": ["none", "left"][int(chance.integers(2))], "firmness": "medium",
        "jobs": [*([job] if seed % 3 else []), *([links] if two else [])],
        "most_clubs": int(chance.integers(7, 15)), "budget": None if seed % 4 else "250",
        "stroke_price": "2500" if seed % 6 == 0 else None, "round_shots": [4, 4, 6, 5] if seed % 9 == 0 else [],
        "courses": [{"name": "Home", "kind": "home", "firmness": "medium", "share": 60},
                    {"name": "Links", "kind": "trip", "firmness": "firm", "share": 40}] if two else [],
    }  # fmt: skip
    assert desk.patch(f"/api/sessions/{session.pk}/brief", {"now": now}, content_type=JSON).status_code == 200
    asked = {"rule": "roll_out", "clubs_to_place": 1}
    if wish == "named":
        asked |= {"named": {"low_m": 161, "high_m": 168, "total": False}}
    elif wish == "gap":
        asked |= {"clubs_to_place": int(chance.integers(1, 3))}
    else:
        of = {"like": {}, "replace": {"ways": ["shorter", "softer"]}, "flight": {"flight": "steeper"}, "far": {}}[wish]
        asked |= {"wish": wish, "like_for": held["5W"], **of}
    assert desk.put(f"/api/sessions/{session.pk}/gap", asked, content_type=JSON).status_code == 200


@pytest.mark.parametrize("seed", range(STANDS))
def test_every_place_names_the_same_bag_with_the_same_worth(desk, session, seed):
    stand(desk, session, seed)
    url = f"/api/sessions/{session.pk}"
    judged = load(FittingSession.objects.get(pk=session.pk))
    decision = judged.decision
    choice, saves = decision.choice, decision.bag.worth.saves
    bench, plans, handover = (desk.get(f"{url}/{part}").json() for part in ("bench", "plans", "handover"))
    names = {club.letter: club.key for club in judged.facts.candidates}
    come = sorted(names[letter] for letter in choice.letters)
    assert bench["choice"]["letters"] == list(choice.letters)
    assert bench["choice"]["sentence"] == plans["found"]["sentence"] == handover["suggestion"] == choice.sentence
    assert sorted(set(plans["found"]["builds"]) & set(names.values())) == come == sorted(handover["suggested"])
    assert plans["found"]["saves"] == pytest.approx(saves)
    assert plans["found"]["dropped"] == bench["choice"]["leaves"] == handover["draft"]["dropped"]
    assert "Dr" not in plans["found"]["dropped"]
    assert handover["draft"]["over"] == plans["found"]["over"]
    assert handover["draft"]["after"]["club_count"] == plans["found"]["club_count"]
    for line in (plans["found"], *({"saves": each["saves"], "worth": each["lines"], "price": None} for each in
                                   bench["choice"]["worths"])):  # fmt: skip
        paid = sum(part["strokes"] for part in line["worth"] if part["line"] != "price")
        assert paid == pytest.approx(line["saves"], abs=0.016)
    # The short list stands in the order of what its heads would save when they are paid, of those that may do it.
    price = judged.thresholds.stroke_price
    for slot in desk.get(f"{url}/shortlist").json()["slots"]:
        likely = [row for row in slot if row["supported"] and (row["chance"] or 0) >= 0.45 and row["saves"] is not None]
        left = [row["saves"] - float(row["price"]) / price for row in likely]
        assert all(one >= two - 0.011 for one, two in itertools.pairwise(left))
    # A sentence beside its figure: what it says is saved is what its table shows.
    if (
        said := re.search(r"(?<!would )sa(?:ves|ve) ([\d.]+) strokes? a round", str(choice.sentence))
    ) and choice.letters:
        assert said[1] == shown(saves, 1)
    if choice.settled and choice.letter:
        step = desk.get(url).json()["next"]
        assert "settled" in str(step) or "sleeve" in str(step) or "odd shots" in str(step)
    # Our own file out and in again, where one place holds all that is asked.
    if FittingSession.objects.get(pk=session.pk).clubs_to_place == 1:
        told = json.loads(json.dumps(present_bundle(judged), cls=DjangoJSONEncoder))
        answer = read_bundle(told).answer()
        assert answer["choice"]["sentence"] == choice.sentence
        assert answer["bag"]["come_in"] == list(choice.letters)
        assert answer["bag"]["saves"]["strokes_a_round"] == pytest.approx(saves, abs=1e-6)

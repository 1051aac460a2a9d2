"""Reading a session bundle (`bundle_schema`) into the judge's own types, and the verdicts back as plain data."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from math import nan
from typing import Any

import numpy as np
from jsonschema import Draft202012Validator

from ..bag import (
    Carried,
    GapRule,
    GapRules,
    HeadType,
    coverage,
    gap_around,
    gap_in_work,
    in_order,
    lay_out_like,
    lay_out_slots,
    usual_rules,
)
from ..bag.clubs import TYPED_SD_M
from ..bag.gaps import StepWish
from ..bag.remarks import Remark, remarks
from ..brief import (
    NOTHING_FEARED,
    Fear,
    Feared,
    FlightWish,
    Job,
    JobKind,
    Miss,
    ReplaceWay,
    Target,
    Wanted,
    Wish,
    holds_deg,
    propose,
    propose_flight,
    propose_like,
    uses_in,
)
from ..brief.wishes import (
    COMPARED,
    far_wanted,
    flight_wanted,
    lay_out_replacing,
    like_wanted,
    propose_far,
    propose_replacing,
    replace_wanted,
)
from ..decision import BagClub, Decision, Demand, Limits, TestedClub, decide_session
from ..errors import BadInput
from ..flight import Air, Anchor, Firmness
from ..impact import Lie
from ..judge import Candidate, Case, Liking
from ..judge.landings import usual_roll_m
from ..monitor import Monitor, MonitorKind, Noise
from ..protocols import asked, protocol_of
from ..protocols.found import Outcome
from ..rack.expected import Expected
from ..rack.lofts import LoftedHead
from ..runs import FULL
from ..said import plain, say
from ..samples.averages import average, values_of
from ..shots import FLIGHT_READINGS, Intent, Shot, Source, Strike, anchor_to, check_readings, fill_blanks
from ..thresholds import DEFAULT, Thresholds
from .bundle_answer import written
from .bundle_schema import SCHEMA

VALIDATOR = Draft202012Validator(SCHEMA)


@dataclass(frozen=True)
class Bundle:
    """What the judge needs of a session. bag: the clubs in favour whose carry is known, tried: the builds as the bag
    sees them, where that is more than their shots say; unseen: how many more clubs. courses:
    of each job, shares: of the rounds, by course; remarks: on the bag as it is."""

    cases: tuple[Case, ...]
    jobs: tuple[Job, ...]
    own: tuple[Candidate, ...]
    budget: float | None
    like: str | None = None
    feared: Feared = NOTHING_FEARED
    bag: tuple[BagClub, ...] = ()
    tried: Mapping[str, BagClub] = field(default_factory=dict)
    places: int = 1
    most: int = 14
    unseen: int = 1
    courses: tuple[str, ...] = ()
    shares: Mapping[str, float] = field(default_factory=dict)
    thresholds: Thresholds = DEFAULT
    remarks: tuple[Remark, ...] = ()
    tested: tuple[TestedClub, ...] = ()

    def answer(self) -> dict[str, Any]:
        """The decision as plain data."""
        return written(self.decided(), self.cases, self.remarks)

    def decided(self) -> Decision:
        played = [(job, course) for job, course in zip(self.jobs, self.courses, strict=True) if job.played_out]
        return decide_session(
            self.cases,
            jobs=[replace(job, uses_per_round=job.uses_per_round * self.shares.get(at, 1.0)) for job, at in played],
            demand=Demand(
                uses=np.array([job.uses_per_round for job, _ in played]),
                courses=tuple(course if course in self.shares else "" for _, course in played),
                shares=self.shares,
            ),
            swaps=len(self.shares) > 1,
            own=self.own,
            bag=self.bag,
            builds=self.tried,
            replaced=self.like,
            limits=Limits(self.most, self.places, self.budget, self.unseen),
            feared=self.feared,
            tested=self.tested,
            thresholds=self.thresholds,
        )


def _check(data: Any) -> None:
    error = min(VALIDATOR.iter_errors(data), key=lambda each: list(map(str, each.path)), default=None)
    if error is not None:
        where = ".".join(str(part) for part in error.path)
        raise BadInput(say("bundle-where", where=where or say("bundle"), words=error.message), field=where or None)
    letters = [row["letter"] for row in data["builds"]]
    if len(set(letters)) < len(letters):
        raise BadInput(say("file-builds-two-builds-have"), field="builds")


def _shot(row: Mapping[str, Any], models_flight: bool, where: str) -> Shot:
    readings = {key: float(value) for key, value in row["readings"].items()}
    try:
        check_readings(readings)
    except BadInput as error:
        raise BadInput(say("bundle-where", where=where, words=error.said), field=where) from error
    usual = Source.MODELLED if models_flight else Source.MEASURED
    sources = {key: usual if key in FLIGHT_READINGS else Source.MEASURED for key in readings}
    sources |= {key: Source(value) for key, value in row.get("sources", {}).items()}
    intent = Intent(row.get("intent", "stock"))
    return Shot(
        values=readings,
        sources=sources,
        aside=bool(row.get("aside", False)),
        strike=Strike(row["strike"]) if row.get("strike") else None,
        void=frozenset(row.get("void", ())),
        intent=intent,
        protocol=asked(row["protocol"], intent).key if "protocol" in row else protocol_of(intent).key,
        misread=bool(row.get("misread", False)),
        lie=Lie(row["lie"]) if row.get("lie") else None,
        old_swing=bool(row.get("old_swing", False)),
        apart=row.get("apart", ""),
        swing=row.get("swing", FULL),
        part=bool(row.get("part", False)),
        asked_m=row.get("asked_m"),
        order=row.get("order"),
    )


def _shots(rows: Sequence[Mapping[str, Any]], models_flight: bool, where: str, air: Air) -> list[Shot]:
    """A club's shots; a carry that was not given is computed from the launch, as everywhere."""
    read = [_shot(row, models_flight, f"{where}.shots.{number}") for number, row in enumerate(rows)]
    bare = [index for index, shot in enumerate(read) if "carry_m" not in shot.values]
    for index, computed in zip(bare, fill_blanks([read[index].values for index in bare], air=air), strict=True):
        shot = read[index]
        read[index] = replace(
            shot,
            values={**shot.values, **computed},
            sources={**shot.sources, **dict.fromkeys(computed, Source.COMPUTED)},
        )
    return read


def _job(row: Mapping[str, Any]) -> Job:
    words = {"kind": JobKind(row["kind"]), "firmness": Firmness(row.get("firmness", "medium"))}
    rest = {key: value for key, value in row.items() if key != "course"}
    return Job(**{**rest, **words, "lie": Lie(row["lie"]) if row.get("lie") else None})


def _carried(club: Candidate, row: Mapping[str, Any]) -> Carried | None:
    if "known" in row and club.head_type is not HeadType.PUTTER:
        return Carried(club.name, club.head_type, **row["known"], loft_deg=club.loft_deg)
    means = {
        key: average(values_of(club.shots, key)) for key in ("carry_m", "total_m", "peak_m", "landing_deg", "spin_rpm")
    }
    carry = means["carry_m"].mean if means["carry_m"] else row.get("carry_m")
    if carry is None or club.head_type is HeadType.PUTTER:
        return None
    total = means["total_m"].mean if means["total_m"] else row.get("total_m")
    others: dict[str, Any] = {key: mean.mean for key in ("peak_m", "landing_deg", "spin_rpm") if (mean := means[key])}
    spread = means["carry_m"].sd if means["carry_m"] else None
    # What nobody hit is remembered, not measured, and is as unsure here as everywhere.
    others["carry_sd_m"] = (means["carry_m"].se or TYPED_SD_M) if means["carry_m"] else TYPED_SD_M
    stops = carry + usual_roll_m(club.head_type) if total is None else total
    others |= {"loft_deg": club.loft_deg, "spread_m": spread, "total_read": total is not None}
    return Carried(club.name, club.head_type, carry, stops, **others)


def _expected(club: Candidate, row: Mapping[str, Any]) -> Expected:
    kind = HeadType(row.get("kind", club.head_type))
    figures = {key: value for key, value in row.items() if key != "kind"}
    return Expected(LoftedHead(club.name, kind, club.loft_deg or nan, club.length_m or nan), **figures)


@dataclass(frozen=True)
class _Place:
    """A slot by the carry it aims at, with its targets and the clubs on both sides."""

    carry_m: float
    targets: Sequence[Target]
    lower: Carried | None
    upper: Carried | None
    wanted: Wanted = field(default_factory=Wanted)


def _given_place(slot: Mapping[str, Any], clubs: Sequence[Carried], jobs: Sequence[Job]) -> list[_Place]:
    low, high = float(slot["low_m"]), float(slot["high_m"])
    if low >= high:
        raise BadInput(say("file-slot-window-wrong-way"), field="slot.low_m")
    middle = (low + high) / 2
    greens = [holds_deg(job) for job in jobs if job.kind is JobKind.GREEN]
    least = slot.get("landing_deg") if "landing_deg" in slot else max(greens, default=None)
    targets = [Target("carry_m", low, high, say("file-window-given"))]
    if least is not None:
        targets.append(Target("landing_deg", float(least), None, say("file-landing-that-holds")))
    ordered = in_order(clubs)
    below = next((each for each in reversed(ordered) if each.carry_m < middle), None)
    above = next((each for each in ordered if each.carry_m > middle), None)
    return [_Place(middle, targets, below, above)]


def _found_places(data: Mapping[str, Any], clubs: Sequence[Carried], jobs: Sequence[Job]) -> list[_Place]:
    covered = coverage(clubs, _rules(data))
    gap = gap_in_work(covered, uses=lambda each: uses_in(each, jobs))
    if gap is None:
        raise BadInput(say("file-give-slot-clubs-hole"), field="slot")
    layout = lay_out_slots(gap.lower, gap.upper, data.get("clubs_to_place", 1), rule=gap.rule, step=gap.step)
    miss = Miss(data.get("miss", "none"))
    return [
        _Place(slot.target_m, propose(layout, slot, gap.lower, gap.upper, jobs, miss=miss), gap.lower, gap.upper)
        for slot in layout.slots
    ]


def _rules(data: Mapping[str, Any]) -> GapRules:
    """The rule of each end and the steps wanted, where they are not as usual."""
    usual, said = usual_rules(GapRule(data.get("rule", "roll_out"))), data.get("steps", {})
    long, short = (StepWish(*said[end]) if end in said else None for end in ("long", "short"))
    return replace(
        usual,
        long_step=long or usual.long_step,
        short_step=short or usual.short_step,
        short=GapRule(said.get("short_rule", usual.short)),
    )


def _like_places(data: Mapping[str, Any], clubs: Sequence[Carried], jobs: Sequence[Job]) -> list[_Place]:
    old = next((club for club in clubs if club.name == data["like"]), None)
    if old is None:
        raise BadInput(say("file-like-no-club-carry", name=data["like"]), field="like")
    gap = gap_around(old, clubs, _rules(data))
    lower, upper = (None, None) if gap is None else (gap.lower, gap.upper)
    if data.get("wish") == Wish.FAR:
        return [_Place(old.carry_m, propose_far(old), lower, upper, far_wanted(old, jobs))]
    slot = lay_out_like(old).slots[0]
    miss, flight = Miss(data.get("miss", "none")), data.get("flight")
    if data.get("wish") == Wish.REPLACE:
        ways = [ReplaceWay(each) for each in data.get("ways", [])]
        layout = lay_out_replacing(old, ways, lower, upper)
        targets = propose_replacing(old, ways, layout, jobs, miss=miss)
        return [_Place(layout.slots[0].target_m, targets, lower, upper, replace_wanted(old, ways))]
    if flight is None:
        return [_Place(slot.target_m, propose_like(old, slot, jobs, miss=miss), lower, upper, like_wanted(old))]
    asked = FlightWish(flight)
    targets = propose_flight(old, asked, slot, jobs, miss=miss)
    return [_Place(slot.target_m, targets, lower, upper, flight_wanted(old, asked))]


def read_bundle(data: Any) -> Bundle:
    """A bundle as loaded from JSON. Raises BadInput that names the place in the file for anything that cannot be
    used: another format, a missing field, a reading no shot has, a window the wrong way round."""
    _check(data)
    models_flight = bool(data.get("monitor_models_flight", False))
    air = Air(**data.get("air", {}))
    noise = {key: Noise(**each) for key, each in data.get("noise", {}).items()}
    monitor = Monitor(MonitorKind.IMPACT if models_flight else MonitorKind.FLIGHT, noise)
    jobs = tuple(_job(row) for row in data.get("jobs", []))
    hit = {kind: _all_shots(data, kind, models_flight, air) for kind in ("clubs", "builds")}
    every = [shot for group in (*hit["clubs"], *hit["builds"]) for shot in group]
    anchored = anchor_to(every, [air] * len(every))

    def candidate(row: Mapping[str, Any], shots: Sequence[Shot], own: bool) -> Candidate:
        return _candidate(row, shots, own=own, air=air, anchored=anchored, monitor=monitor)

    clubs = data.get("clubs", [])
    own = [candidate(row, shots, True) for row, shots in zip(clubs, hit["clubs"], strict=True)]
    builds = [candidate(row, shots, False) for row, shots in zip(data["builds"], hit["builds"], strict=True)]
    carried = [club for each, row in zip(own, clubs, strict=True) if (club := _carried(each, row)) is not None]
    expected = {
        each.name: _expected(each, row["expected"]) for each, row in zip(own, clubs, strict=True) if "expected" in row
    }
    fixed = {row["name"] for row in clubs if row.get("fixed")}
    played = {row["name"] for row in clubs if not row.get("out_of_favour")}
    in_play = [club for club in carried if club.name in played]
    places = _places(data, carried, in_play, jobs)
    named = data.get("slot", {}).get("named", False)
    return Bundle(
        cases=tuple(
            replace(_case(build, places, row.get("window")), replaces=row.get("replaces", ""), named=named)
            for build, row in zip(builds, data["builds"], strict=True)
        ),
        jobs=jobs,
        own=tuple(each for each in own if each.shots),
        budget=data.get("budget"),
        feared=_feared(data),
        like=data.get("like"),
        bag=tuple(BagClub(club, club.name, club.name in fixed, expected.get(club.name)) for club in in_play),
        tried={
            build.letter: BagClub(club, build.letter)
            for build, row in zip(builds, data["builds"], strict=True)
            if "known" in row and (club := _carried(build, row)) is not None
        },
        places=data.get("clubs_to_place", 1),
        most=data.get("most_clubs", 14),
        courses=tuple(row.get("course", "") for row in data.get("jobs", [])),
        shares=_shares(data),
        thresholds=DEFAULT.of_customer(data.get("stroke_price"), data.get("round_shots", ())),
        remarks=tuple(remarks(coverage(in_play, _rules(data)))),
        tested=tuple(_tested(row, builds) for row in data.get("tests", {}).get("told", [])),
        # A putter is carried whether the file has it or not.
        unseen=data.get("others", max(1, len(played - {club.name for club in carried}))),
    )


def _tested(row: Mapping[str, Any], builds: Sequence[Candidate]) -> TestedClub:
    """What tests told of a club that is played."""
    build = next((each for each in builds if each.letter == row["letter"]), None)
    return TestedClub(
        old=row["old"],
        key=row["old"],
        letter=row["letter"],
        name="" if build is None else f"{build.letter} {build.name}".strip(),
        fresh=row["letter"],
        outcome=Outcome(row["outcome"]),
        why=plain(row["why"]),
        saves=row.get("saves", 0.0),
        liking=Liking.NEUTRAL if build is None else build.liking,
        price=None if build is None else build.price,
        same_loft=row.get("same_loft", True),
    )


def _all_shots(data: Mapping[str, Any], kind: str, models_flight: bool, air: Air) -> list[list[Shot]]:
    """Of each of the clubs or of the builds."""
    rows = enumerate(data.get(kind, []))
    return [_shots(row.get("shots", []), models_flight, f"{kind}.{at}", air) for at, row in rows]


def _places(
    data: Mapping[str, Any], carried: Sequence[Carried], in_play: Sequence[Carried], jobs: Sequence[Job]
) -> Sequence[_Place]:
    """The places that the builds are tried for."""
    if data.get("wish") == Wish.COMPARE:
        return [_Place(0.0, (), None, None, COMPARED)]
    if "slot" in data:
        return _given_place(data["slot"], carried, jobs)
    return _like_places(data, carried, jobs) if "like" in data else _found_places(data, in_play, jobs)


def _feared(data: Mapping[str, Any]) -> Feared:
    kinds = tuple(HeadType(kind) for kind in data.get("fear_with", []))
    return Feared(Miss(data.get("miss", "none")), Fear(data.get("fear", "half")), kinds)


def _shares(data: Mapping[str, Any]) -> dict[str, float]:
    """Of the rounds, by course; empty where they play one."""
    named = {row["name"]: float(row["share"]) for row in data.get("courses", []) if row["share"] > 0}
    total = sum(named.values())
    return {name: share / total for name, share in named.items()} if len(named) > 1 else {}


def _candidate(
    row: Mapping[str, Any], shots: Sequence[Shot], *, own: bool, air: Air, anchored: Anchor, monitor: Monitor
) -> Candidate:
    return Candidate(
        letter=row.get("letter", ""),
        name=row.get("name", row.get("letter", "")),
        head_type=HeadType(row["head_type"]),
        shots=shots,
        up_deg=max(row.get("sleeve_deg", 0) - row.get("turned_deg", 0), 0),
        down_deg=max(row.get("sleeve_deg", 0) + row.get("turned_deg", 0), 0),
        loft_deg=row.get("loft_deg"),
        air=air,
        anchored=anchored,
        length_m=row.get("length_m"),
        length_stated=bool(row.get("length_stated", True)),
        next_heads=tuple((loft, length) for loft, length in row["next_heads"]) if "next_heads" in row else None,
        price=row.get("price"),
        liking=Liking(row.get("liking", "neutral")),
        own=own,
        answered=bool(row.get("answered", False)),
        head=row.get("head", ""),
        out_of_favour=bool(row.get("out_of_favour", False)),
        monitor=monitor,
        bend_up_deg=row.get("bend_up_deg", 0.0),
        bend_down_deg=row.get("bend_down_deg", 0.0),
    )


def _case(build: Candidate, places: Sequence[_Place], window: Sequence[float] | None) -> Case:
    """The place a build is judged for: the one its carry is nearest to. window: its own, where it has one."""
    carry = average(values_of(build.shots, "carry_m"))
    place = min(places, key=lambda each: abs(each.carry_m - carry.mean)) if carry else places[0]
    targets = [
        replace(target, low=window[0], high=window[1]) if window and target.quantity == "carry_m" else target
        for target in place.targets
    ]
    return Case(build, targets, place.lower, place.upper, place.wanted, slot=places.index(place))

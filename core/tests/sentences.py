"""What the core says of cases whose figures are set by hand, for a reader to hold against them.

`python core/tests/sentences.py` prints the file that `test_sentences` holds the core to. What is given of each case is
written here, not read back from what is said of it.
"""

from __future__ import annotations

import sys
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from dataclasses import replace

from builds import GREEN, LOWER, TEE, UPPER
from hemicycle_core.bag import (
    Carried,
    GapRule,
    HeadType,
    as_neighbours,
    clubs_for,
    coverage,
    lay_out_like,
    lay_out_slots,
    remarks,
    replanned,
    serves,
    usual_rules,
)
from hemicycle_core.bag.gaps import wanted_step
from hemicycle_core.brief import Fear, Feared, FlightWish, Job, JobKind, Miss, propose, propose_flight, propose_like
from hemicycle_core.brief.wishes import COMPARED, far_wanted, flight_wanted, like_wanted, propose_far
from hemicycle_core.decision import Decision, Limits, decide_session
from hemicycle_core.decision.advice import next_step
from hemicycle_core.judge import Candidate, Case, Liking, compare
from hemicycle_core.said import GOLFER, Reader, in_words
from hemicycle_core.said.sentence import PRINTER
from hemicycle_core.samples.drift import steadiness
from hemicycle_core.shots import Shot, Source
from hemicycle_core.units import metres

OFFS = (-2.0, -1.0, -0.5, 0.5, 1.0, 2.0)
LAUNCH = {"ball_speed_mps": 56.0, "launch_deg": 15.5, "spin_rpm": 4700.0}
SLOT = "slot 176 to 183 between 5i (162, stops at 170) and 5W (196, stops at 204); green at 180 asks for 45°"


def hit(carry, landing=47.0, n=6, wide=1.0, side=0.0, launch=None, **more):
    """Shots whose mean carry is the one named, in yards, to the hair."""
    offs = [wide * OFFS[i % 6] * (1 + i // 6 * 0.2) for i in range(n)]
    middle = sum(offs) / n
    return [
        Shot({"carry_m": metres(carry + off - middle), "total_m": metres(carry + 6 + off - middle),
              "landing_deg": landing, "offline_m": metres(side + 2 * OFFS[(i + 2) % 6]), **(launch or {})}, **more)
        for i, off in enumerate(offs)
    ]  # fmt: skip


def slot_case(shots, letter="A", kind=HeadType.HYBRID, jobs=(GREEN,), lower=LOWER, upper=UPPER, **more):
    layout = lay_out_slots(lower, upper, 1, rule=GapRule.ROLL_OUT, step=wanted_step(None))
    return Case(
        Candidate(letter, letter, kind, shots, **more),
        propose(layout, layout.slots[0], lower, upper, jobs),
        lower,
        upper,
    )


def own(carry, n=8, name="4H", **more):
    return Candidate("", name, HeadType.HYBRID, hit(carry, n=n), own=True, **more)


def said(judged: Decision, in_hand: str = "A") -> list[str]:
    lines = []
    for verdict in judged.verdicts:
        chance = "" if verdict.chance is None else f" {verdict.chance:.0%}"
        lines.append(f"{verdict.letter}: {verdict.headline!s}.{chance} {verdict.why!s}")
        lines += [f"   against: {verdict.against!s}"] if verdict.against else []
        lines += [f"   then: {verdict.change!s}"] if verdict.change else []
    choice = judged.choice
    more = (
        ""
        if choice.more is None
        else f", {choice.more.count} more with {choice.more.words!s}{' in vain' * choice.more.in_vain}"
    )
    lines.append(f"Choice: {choice.sentence!s} [{'settled' if choice.settled else 'not settled'}{more}]")
    lines.append(f"Next: {next_step(judged.verdicts, in_hand, choice)!s}")
    return lines


def session(*cases, jobs=(GREEN,), **more):
    return lambda: said(decide_session(cases, jobs=jobs, **more))


OLD = Carried("4H", HeadType.HYBRID, metres(181), metres(188), spread_m=3, peak_m=metres(27), landing_deg=46.0,
              spin_rpm=4500.0, carry_sd_m=0.8)  # fmt: skip
WOOD = replace(OLD, name="3W", head_type=HeadType.FAIRWAY, carry_m=metres(200), total_m=metres(214))
FAR_JOB = Job("Par five in two", JobKind.GREEN, metres(260), width_m=20, depth_m=24)
LAYUP = Job("Along the ditch", JobKind.LAYUP, metres(182), width_m=metres(40), depth_m=metres(30))


def wish_case(shots, targets, wanted, letter="A", **more):
    return Case(Candidate(letter, letter, HeadType.HYBRID, shots, **more), targets, LOWER, UPPER, wanted)


def flying(peak, carry=181):
    return [Shot({**shot.values, "peak_m": metres(peak), "spin_rpm": 4500.0}) for shot in hit(carry, 46.0, n=8)]


def far_off(total, wide):
    return [
        Shot({"carry_m": metres(total - 14), "total_m": metres(total), "offline_m": metres(wide * off),
              "landing_deg": 39.0})
        for off in (*OFFS, *OFFS)
    ]  # fmt: skip


def judged_cases() -> Iterator[tuple[str, str, Callable[[], list[str]]]]:
    """Name, what is given, and the sentences."""
    a = hit(179, n=12)
    yield "Nothing on the stand", SLOT, session()
    yield "One build, not hit", SLOT, session(slot_case([]))
    yield "One shot", f"{SLOT}; A 179 once", session(slot_case(hit(179, n=1)))
    yield "Every shot set aside", f"{SLOT}; A 150 three times, aside", session(slot_case(hit(150, n=3, aside=True)))
    yield (
        "Launches without a carry",
        f"{SLOT}; A three launches, no carry",
        session(slot_case([Shot({"club_speed_mps": 40.0, "ball_speed_mps": 56.0}) for _ in range(3)])),
    )
    yield "Inside, well known", f"{SLOT}; A 179 twelve times, 47°", session(slot_case(a))
    yield "Inside, six shots that spread", f"{SLOT}; A 179 six times, wide", session(slot_case(hit(179, wide=4)))
    yield (
        "A little short",
        f"{SLOT}; A 173 twelve times, sleeve 2° either way",
        session(slot_case(hit(173, n=12, launch=LAUNCH), up_deg=2.0, down_deg=2.0, loft_deg=22.0)),
    )
    yield (
        "A little short, sleeve spent, a stronger head on the rack",
        f"{SLOT}; A 171 of 22°, 19° on the rack",
        session(slot_case(hit(171, n=12, launch=LAUNCH), loft_deg=22.0, length_m=1.0, next_heads=((19.0, 1.0127),))),
    )
    yield "Far too long", f"{SLOT}; A 208 twelve times", session(slot_case(hit(208, n=12)))
    yield "On top of the 5i", f"{SLOT}; A 165 twelve times", session(slot_case(hit(165, n=12)))
    yield "In the window, far too flat", f"{SLOT}; A 179 at 33°", session(slot_case(hit(179, 33.0, n=12)))
    yield (
        "Too flat, with a lay-up named",
        f"{SLOT}; A 179 at 33°, lay-up to 182",
        session(slot_case(hit(179, 33.0, n=12), jobs=(GREEN, LAYUP)), jobs=(GREEN, LAYUP)),
    )
    yield "Too close to the landing line to call", f"{SLOT}; A 179 at 44.8°", session(slot_case(hit(179, 44.8, n=12)))
    yield (
        "Neighbours typed, not hit",
        f"{SLOT}, both typed; A 179 twelve times",
        session(slot_case(a, lower=replace(LOWER, spread_m=None), upper=replace(UPPER, spread_m=None))),
    )
    yield (
        "Computed carries",
        f"{SLOT}; A 179, computed from launches",
        session(
            slot_case(
                hit(179, n=12, launch=LAUNCH, sources={"carry_m": Source.COMPUTED, "landing_deg": Source.COMPUTED})
            )
        ),
    )
    yield (
        "One absurd shot",
        f"{SLOT}; A 175 eight times and once 361",
        session(slot_case([*hit(175, n=8), Shot({"carry_m": metres(361), "landing_deg": 47.0, "offline_m": 0.0})])),
    )
    yield "Vetoed", f"{SLOT}; A 179, the player will not play it", session(slot_case(a, liking=Liking.VETOED))
    yield "Vetoed before it was hit", f"{SLOT}; A not hit, vetoed", session(slot_case([], liking=Liking.VETOED))
    yield (
        "All over the budget",
        f"{SLOT}; A 179 at 300, B 178 at 320, budget 200",
        session(slot_case(a, price=300), slot_case(hit(178, n=12), "B", price=320), limits=Limits(budget=200.0)),
    )
    yield "One heard, one not hit", f"{SLOT}; A 179 twelve times, B none", session(slot_case(a), slot_case([], "B"))
    yield (
        "Jobs all out of reach",
        f"{SLOT}; green at 260; A 179, B 181",
        session(slot_case(a, jobs=(FAR_JOB,)), slot_case(hit(181, n=12), "B", jobs=(FAR_JOB,)), jobs=(FAR_JOB,)),
    )
    yield (
        "No jobs named",
        f"{SLOT}; A 179, B 188",
        session(slot_case(a, jobs=()), slot_case(hit(188, n=12), "B", jobs=()), jobs=()),
    )
    yield (
        "Two that do the same, one dearer",
        f"{SLOT}; A 179 at 300, B 179 at 200, sixty shots each",
        session(slot_case(hit(179, n=60), price=300), slot_case(hit(179, n=60, side=0.2), "B", price=200)),
    )
    yield (
        "Two that do the same, few shots",
        f"{SLOT}; A 179 at 300, B 178 at 200, four shots each",
        session(slot_case(hit(179, n=4, wide=3), price=300), slot_case(hit(178, n=4, wide=3), "B", price=200)),
    )
    yield "What is there does the job", f"{SLOT}; A 179, own 4H 180", session(slot_case(a), own=[own(180, n=12)])
    yield "What is there does not", f"{SLOT}; A 179, own 4H 164", session(slot_case(a), own=[own(164, n=12)])
    yield (
        "It may be better, with few shots",
        f"{SLOT}; A 178 four times wide, own 4H 175",
        session(slot_case(hit(178, n=4, wide=5)), own=[own(175, n=5)]),
    )
    yield (
        "Out of favour",
        f"{SLOT}; A 165, own 4H 180 out of favour, own 5W 196",
        session(slot_case(hit(165, n=12)), own=[own(180, n=12, out_of_favour=True), own(196, n=12, name="5W")]),
    )
    yield "The jobs want another carry than the window", f"{SLOT}; green at 190; A 188, B 178", session(
        slot_case(hit(188, n=14)), slot_case(hit(178, n=14), "B"),
        jobs=(replace(GREEN, distance_m=metres(191)), replace(TEE, distance_m=metres(196))), own=[own(150)],
    )  # fmt: skip
    fear = Feared(Miss.LEFT, Fear.WHOLE)
    yield (
        "A feared side",
        f"{SLOT}; A straight at 176, B 179 but six left; left costs a whole shot",
        session(slot_case(hit(176.5, n=14)), slot_case(hit(179, n=14, side=-6), "B"), feared=fear),
    )
    yield "Old swing", f"{SLOT}; A 170 before the swing was changed", session(slot_case(hit(170, n=8, old_swing=True)))
    like = propose_like(OLD, lay_out_like(OLD).slots[0], [GREEN])
    yield (
        "Like for like, done",
        "old 4H 181 at 46°, 81 ft, 4,500 rpm; A the same",
        session(wish_case(flying(27), like, like_wanted(OLD)), own=[own(181)], replaced="4H"),
    )
    higher = propose_flight(OLD, FlightWish.HIGHER, lay_out_like(OLD).slots[0], [GREEN])
    wanted = flight_wanted(OLD, FlightWish.HIGHER)
    yield (
        "The yardage kept, the flight higher",
        "old 4H 181, 81 ft; A 181 at 93 ft, B 190 at 96 ft",
        session(
            wish_case(flying(31), higher, wanted),
            wish_case(flying(32, 190), higher, wanted, "B"),
            own=[own(181)],
            replaced="4H",
        ),
    )
    yield (
        "The yardage kept, not higher by enough",
        "old 4H 181, 81 ft; A 181 at 83.9 ft, wanted 84 and a bit",
        session(wish_case(flying(27.97), higher, wanted), own=[own(181)], replaced="4H"),
    )
    beyond = far_wanted(WOOD, [replace(TEE, width_m=metres(30))])
    tee_own = Candidate("", "3W", HeadType.FAIRWAY, far_off(214, 6), own=True)
    yield "As far as possible, in play", "old 3W 214; A 221 as straight, B 229 twice as wide", session(
        wish_case(far_off(221, 6), propose_far(WOOD), beyond),
        wish_case(far_off(229, 13), propose_far(WOOD), beyond, "B"),
        own=[tee_own],
    )  # fmt: skip
    yield (
        "Compared only, with a job",
        "no window; green at 180; A 179, B 165",
        session(wish_case(a, (), COMPARED), wish_case(hit(165, n=12), (), COMPARED, "B")),
    )
    yield "Compared only, without a job", "no window, no job; A 179", session(wish_case(a, (), COMPARED), jobs=())


def bag_cases() -> Iterator[tuple[str, str, Callable[[], list[str]]]]:
    long = [
        Carried("5i", HeadType.IRON, metres(168), metres(176), loft_deg=26, spread_m=4),
        Carried("Dr", HeadType.DRIVER, metres(233), metres(252), loft_deg=10.5, spread_m=6),
    ]
    rules = usual_rules(GapRule.ROLL_OUT)
    wide = coverage(long, rules)
    for count in (1, 2, 3):
        yield (
            f"{count} to place in 57 yd",
            "5i stops at 176, driver carries 233",
            lambda count=count: [
                lay_out_slots(long[0], long[1], count, rule=GapRule.ROLL_OUT, step=wanted_step(None)).sentence
            ],
        )
    yield (
        "How many belong there",
        "57 yd open, used twice a round",
        lambda: [
            found[1].sentence
            for found in (clubs_for(long[0], long[1], rule=GapRule.ROLL_OUT, step=wanted_step(None), uses=2.0),)
            if found
        ],
    )
    close = [*long, Carried("4i", HeadType.IRON, metres(171), metres(179), loft_deg=23, spread_m=4)]
    yield (
        "Two irons three yards apart",
        "5i 168 and 4i 171, 3° apart",
        lambda: [each.sentence for each in remarks(coverage(close, rules))],
    )
    new = Carried("A 7W", HeadType.FAIRWAY, metres(198), metres(207), spread_m=5, peak_m=metres(30))
    yield (
        "What a club would do to its neighbours",
        "A 7W 198 between 176 and 233",
        lambda: [replanned(wide, coverage([*long, new], rules), "A 7W")],
    )
    yield (
        "Read as neighbours",
        "5i 168 stops 176, A 7W 198; spreads 4 and 5",
        lambda: [as_neighbours(long[0], new).sentence],
    )
    other = replace(new, name="B 5H", head_type=HeadType.HYBRID, carry_m=metres(199), peak_m=metres(25))
    yield "Where else it serves", "A 7W 198 and B 5H 199, fifteen feet apart", lambda: serves(new, wide, None, [other])


def compared_cases() -> Iterator[tuple[str, str, Callable[[], list[str]]]]:
    def two(first, second):
        a, b = (
            Candidate(letter, letter, HeadType.HYBRID, hit(*each)) for letter, each in (("A", first), ("B", second))
        )
        return lambda: [found.sentence for found in (compare(a, b),) if found]

    yield "Far apart", "A 186, B 176, twelve each", two((186, 47, 12), (176, 47, 12))
    yield "A yard apart", "A 180, B 179, twelve each", two((180, 47, 12), (179, 47, 12))
    yield "Two shots of one", "A 186 twice, B 176 twelve times", two((186, 47, 2), (176, 47, 12))

    def steady(speeds):
        shots = [(1, Shot({"carry_m": 160.0, "club_speed_mps": speed})) for speed in speeds]
        return lambda: [steadiness(shots, {1: None}, None).sentence]

    yield "Steady", "twenty-four shots at 40 m/s", steady([40.0, 40.1] * 12)
    yield "Tiring", "club speed down by a fifth of a metre a second a shot", steady([40 - 0.2 * n for n in range(30)])


def everything() -> Sequence[tuple[str, str, list[str]]]:
    made = (*judged_cases(), *bag_cases(), *compared_cases())
    return [(name, given, [str(each) for each in make()]) for name, given, make in made]


@contextmanager
def read_by(reader: Reader) -> Iterator[None]:
    """What is printed meanwhile is in this reader's words."""
    before, PRINTER[0] = PRINTER[0], lambda said: in_words(said, reader)
    try:
        yield
    finally:
        PRINTER[0] = before


def printed() -> str:
    parts = [
        f"## {name}\nGiven: {given}\n\n" + "\n".join(lines or ["(nothing)"]) for name, given, lines in everything()
    ]
    return "# What is said\n\nPrinted by core/tests/sentences.py.\n\n" + "\n\n".join(parts) + "\n"


def printed_for_golfers() -> str:
    """Of the same cases what a golfer reads otherwise."""
    with read_by(GOLFER):
        theirs = everything()
    parts = []
    for (name, given, lines), (_, _, others) in zip(everything(), theirs, strict=True):
        apart = [other for line, other in zip(lines, others, strict=True) if line != other]
        parts += ["## " + name + f"\nGiven: {given}\n\n" + "\n".join(apart)] if apart else []
    return "# What golfers read\n\nPrinted by core/tests/sentences.py golfer.\n\n" + "\n\n".join(parts) + "\n"


if __name__ == "__main__":
    print(printed_for_golfers() if sys.argv[1:] == ["golfer"] else printed(), end="")

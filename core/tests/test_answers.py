"""From facts to answers: what a club's carry is known by, what each stage makes of the one before, and that nothing is
kept but by what went in."""

from dataclasses import replace

import pytest
from hemicycle_core.answers import answers_of
from hemicycle_core.answers.day import planned
from hemicycle_core.answers.decided import exchange, school_plans
from hemicycle_core.answers.short_tests import standings
from hemicycle_core.answers.space import held_against, targets, wider_elsewhere
from hemicycle_core.answers.wedges import bend_room, is_fresh
from hemicycle_core.bag import BagEnd, GapRule, HeadType
from hemicycle_core.brief import JobKind, Wish
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Brief, BriefJob, Club, Course, Facts, HitShot, Overruled, RunAsked, Space, Visit
from hemicycle_core.facts.brief import tidied
from hemicycle_core.facts.run import said_of_run
from hemicycle_core.facts.session import liking_of
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.judge import Liking
from hemicycle_core.judge.feel import Feel, Felt
from hemicycle_core.kept import key_of, lazily
from hemicycle_core.rack.stock import Wear
from hemicycle_core.shots import Intent, Shot
from hemicycle_core.units import metres, yards


def typed(key: int, name: str, kind: HeadType, carry: float, total: float, **more) -> Club:
    return Club(key, name, kind, typed_carry_m=metres(carry), typed_total_m=metres(total), **more)


def shots(*carries: float, **more) -> tuple[Shot, ...]:
    return tuple(
        Shot(values={"carry_m": metres(each), "total_m": metres(each + 8), "offline_m": 0.0}, **more)
        for each in carries
    )


OWN = (
    typed(1, "PW", HeadType.IRON, 120, 124),
    typed(2, "7i", HeadType.IRON, 152, 160),
    typed(3, "5i", HeadType.IRON, 170, 180, fixed=True),
    typed(4, "3W", HeadType.FAIRWAY, 215, 235),
)


def facts(clubs=OWN, **more) -> Facts:
    given = {"visit": Visit(), "brief": Brief(), "space": Space(), "asked": RunAsked(), **more}
    hit = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
    return Facts(clubs=tuple(clubs), hit=hit, **given)


def hit(key: int, name: str, carries, **more) -> Club:
    return Club(key, name, more.pop("head_type", HeadType.HYBRID), shots=shots(*carries), airs=(Air(),) * 6, **more)


def four(**more) -> Club:
    return Club(5, "4H", HeadType.HYBRID, **more)


A = hit(9, "4H", (188, 190, 191, 189, 192, 190), letter="A", set_loft_deg=22, length_m=1.0)


@pytest.mark.parametrize(
    ("club", "by", "carry"),
    [
        (hit(5, "4H", (188, 190, 192)), "hit", 190),
        (
            Club(5, "4H", HeadType.HYBRID, shots=shots(180, 182, old_swing=True), typed_carry_m=metres(175)),
            "old_swing",
            181,
        ),
        (Club(5, "4H", HeadType.HYBRID, shots=shots(150, aside=True), typed_carry_m=metres(175)), "typed", 175),
        (Club(5, "4H", HeadType.HYBRID), "none", None),
        # A candidate is judged by what was hit with the swing of now, and by nothing else.
        (Club(5, "4H", HeadType.HYBRID, letter="A", shots=shots(180, 182, old_swing=True)), "none", None),
    ],
)
def test_what_a_carry_is_known_by(club, by, carry):
    known = answers_of(facts((*OWN, club))).known
    assert known.carry_from[5] == by
    assert (yards(known.carried[5].carry_m) if 5 in known.carried else None) == (carry and pytest.approx(carry))


def test_a_driver_that_nobody_hit_is_assumed_from_the_other_clubs():
    irons = [
        typed(key, name, HeadType.IRON, carry, carry + 9, set_loft_deg=loft, length_m=length)
        for key, name, carry, loft, length in (
            (2, "7i", 152, 33, 0.94),
            (3, "5i", 170, 26, 0.965),
            (6, "4i", 179, 23, 0.98),
        )
    ]
    driver = Club(7, "Dr", HeadType.DRIVER, set_loft_deg=10.5)
    known = answers_of(facts((*irons, driver))).known
    assert known.carry_from[7] == "assumed" and 210 < yards(known.carried[7].carry_m) < 280
    assert answers_of(facts((irons[0], driver))).known.carry_from[7] == "none"  # one club tells nothing


def test_the_hole_is_laid_out_and_a_build_is_held_against_its_neighbours():
    answers = answers_of(facts((*OWN, A)))
    work = answers.work
    assert (work.gap.lower.name, work.gap.upper.name) == ("5i", "3W") and work.layout.count == 1
    assert [club.name for club in held_against(work)] == ["5i", "3W"]
    assert wider_elsewhere(work) is None
    chosen = answers_of(facts((*OWN, A), space=Space(gap_above=1))).work
    assert chosen.gap.lower.name == "PW" and wider_elsewhere(chosen).lower.name == "5i"
    tried = answers.stand.tried[9]
    carry = next(target for target in tried.wanted if target.quantity == "carry_m")
    assert carry.low <= metres(190) < carry.high and answers.stand.cases[0].candidate.letter == "A"


def test_a_target_that_was_set_stands_until_it_is_taken_back():
    set_ = Overruled(0, "carry_m", metres(180), metres(184))
    work = answers_of(facts((*OWN, A), overruled=(set_,))).work
    assert targets(work, work.layout.slots[0])[0].low == metres(180)
    back = answers_of(facts((*OWN, A), overruled=(set_, replace(set_, cleared=True)))).work
    assert targets(back, back.layout.slots[0])[0].low != metres(180)


def test_a_wish_that_rests_on_an_old_club_needs_to_know_it():
    unknown = Club(8, "old 4H", HeadType.HYBRID)
    space = Space(wish=Wish.LIKE, like_for=8)
    assert answers_of(facts((*OWN, unknown), space=space)).work.wish is Wish.GAP
    known = answers_of(facts((*OWN, typed(8, "old 4H", HeadType.HYBRID, 190, 200)), space=space)).work
    assert known.wish is Wish.LIKE and known.like.name == "old 4H" and known.named is None


def test_what_is_decided_and_what_a_plan_means_for_the_bag():
    job = BriefJob("Par three", JobKind.GREEN, metres(192), None, 30.0, 30.0, Firmness.MEDIUM, 2.0)
    answers = answers_of(facts((*OWN, A), jobs=(job,)))
    assert [each.letter for each in answers.decided.verdicts] == ["A"]
    come, leave = exchange(answers.decided, ["9", "1", "2", "3"])
    assert ([club.name for club in come], [club.name for club in leave]) == (["4H"], ["3W"])
    assert school_plans(answers.decided) == []  # no wedge is tried
    taken = answers_of(facts((*OWN, replace(A, accepted=True)), jobs=(job,)))
    assert [each.headline for each in taken.decided.verdicts] == ["In the bag for now"]
    assert taken.bag.clubs[-1].name == "A 4H" and not taken.stand.tried


@pytest.mark.parametrize(
    ("club", "brief", "wanted"),
    [
        ({"liking": Liking.LIKED}, {}, Liking.LIKED),
        ({}, {"likes": {HeadType.HYBRID: Liking.DISLIKED}}, Liking.DISLIKED),
        (
            {"felt": (Feel({Felt.LOOKS: 5, Felt.TRUST: 5}),)},
            {"likes": {HeadType.HYBRID: Liking.DISLIKED}},
            Liking.LIKED,
        ),
        ({"felt": (Feel({}, veto=True),), "liking": Liking.LIKED}, {}, Liking.VETOED),
        ({"letter": ""}, {"likes": {HeadType.HYBRID: Liking.VETOED}}, Liking.NEUTRAL),  # of an own club it is not asked
    ],
)
def test_what_is_liked_is_what_was_felt_else_said_of_it_else_of_its_kind(club, brief, wanted):
    found = facts((*OWN, replace(A, **club)), brief=Brief(**brief))
    assert liking_of(found, found.by_key[9]) is wanted


def test_equal_facts_have_one_key_whatever_was_worked_out_of_them():
    one, two = facts((*OWN, A)), facts((*OWN, A))
    assert one.core_jobs == [] and one.in_bag and A.shots[0].stock  # worked out, and no field
    assert key_of(one) == key_of(two) and answers_of(one) is answers_of(two)
    assert key_of(one) != key_of(facts((*OWN, A), asked=RunAsked(swing=2)))


def test_what_is_lazy_is_worked_out_once_and_by_itself():
    made = []

    class Holds:
        @lazily
        def found(self) -> int:
            made.append(self)
            return len(made)

    one, two = Holds(), Holds()
    assert (one.found, one.found, two.found) == (1, 1, 2) and made == [one, two]


def course(name: str, share: float = 50) -> Course:
    return Course(name, "home", Firmness.SOFT, share)


@pytest.mark.parametrize(
    ("said", "field"),
    [
        ({"most_clubs": 21}, "most_clubs"),
        ({"budget": -1}, "budget"),
        ({"notes": "x" * 20_001}, "notes"),
        ({"stroke_price": 1}, "stroke_price"),
        ({"round_shots": (1.0, 2.0)}, "round_shots"),
        ({"likes": {"spoon": Liking.LIKED}}, "likes"),
        ({"courses": (Course(" ", "home", Firmness.SOFT, 50),)}, "courses.0.name"),
        (
            {"courses": (Course("One", "home", Firmness.SOFT, 50), Course("One ", "trip", Firmness.SOFT, 50))},
            "courses.1.name",
        ),
        ({"courses": (Course("One", "home", Firmness.SOFT, 101),)}, "courses.0.share"),
        ({"maker_likes": {str(each): Liking.LIKED for each in range(13)}}, "maker_likes"),
    ],
)
def test_a_brief_refuses_what_no_brief_holds(said, field):
    with pytest.raises(BadInput) as refused:
        tidied(replace(Brief(), **said))
    assert refused.value.field == field


def test_a_brief_is_kept_tidy_and_shares_sum_to_one():
    courses = (Course(" Home ", "home", Firmness.MEDIUM, 30), Course("Links", "trip", Firmness.FIRM, 10))
    kept = tidied(Brief(courses=courses, maker_likes={" Corbrae ": Liking.LIKED, "Other": Liking.NEUTRAL}))
    assert kept.shares == {"Home": 0.75, "Links": 0.25} and kept.maker_likes == {"Corbrae": Liking.LIKED}
    assert Brief(courses=courses[:1]).shares == {}


@pytest.mark.parametrize(
    ("said", "field"),
    [
        ({"length": "long"}, "length"),
        ({"tee_mm": 71}, "tee_mm"),
        ({"wind_mps": 3.0}, "wind_mps"),  # indoors
        ({"asked_carry_m": 2.0}, "asked_carry_m"),
        ({"gripped_in": 9.0}, "gripped_in"),
        ({"length": "half", "intent": Intent.HIGH}, "intent"),  # that is taken up with a club or a test
    ],
)
def test_a_run_refuses_what_nobody_hits(said, field):
    with pytest.raises(BadInput) as refused:
        said_of_run(RunAsked(), said, indoor=True)
    assert refused.value.field == field


def test_of_a_run_only_what_is_said_changes_and_nought_is_nothing_said():
    before = RunAsked(intent=Intent.LOW, tee_mm=20, asked_carry_m=100.0)
    after = said_of_run(before, {"length": "half", "tee_mm": 0}, indoor=True)
    assert (after.length, after.tee_mm, after.asked_carry_m, after.intent) == ("half", None, 100.0, Intent.LOW)


def test_a_wedge_counts_as_fresh_by_where_it_is_from_or_how_it_looks():
    own, stand = Club(1, "54", HeadType.WEDGE), Club(2, "54", HeadType.WEDGE, letter="A")
    assert is_fresh(stand) and not is_fresh(own) and is_fresh(replace(own, wear=Wear.FRESH))
    assert not is_fresh(replace(stand, turned_from=1)) and not is_fresh(replace(stand, borrowed=True))
    assert bend_room(replace(own, head_type=HeadType.IRON)) == (0.0, 0.0)


def test_the_short_end_is_cut_between_its_ends_once_it_is_worked_at():
    wedges = (
        typed(11, "PW", HeadType.WEDGE, 120, 124, set_loft_deg=46),
        typed(12, "58", HeadType.WEDGE, 80, 81, set_loft_deg=58),
    )
    long = answers_of(facts((*OWN[1:], *wedges), brief=Brief(end=BagEnd.LONG)))
    assert long.ends.short_end is None and not long.ends.worked_at
    short = answers_of(facts((*OWN[1:], *wedges), brief=Brief(end=BagEnd.SHORT), space=Space(clubs_to_place=2)))
    assert [club.name for club in short.ends.ends] == ["58", "PW"] and short.work.layout.count == 2
    assert short.work.layout.rule is GapRule.EVEN_STEPS
    (step,) = short.ends.short_end.steps[:1]
    assert (short.ends.widest_step, step.lower.name, step.upper.name) == (0, "58", "PW")
    assert long.ends.widest_step is None


def test_a_visit_to_the_wedges_is_planned_in_minutes_and_says_what_to_leave_out():
    wedges = [
        replace(typed(key, name, HeadType.WEDGE, carry, carry + 1), set_loft_deg=loft)
        for key, name, carry, loft in ((11, "PW", 126, 46), (12, "52", 106, 52), (13, "58", 84, 58))
    ]
    short = {"brief": Brief(end=BagEnd.SHORT), "space": Space(clubs_to_place=1)}

    def plan(clubs, sole_left=None, **more):
        found = answers_of(facts((*OWN[1:], *clubs), **{**short, **more}))
        return planned(found.ends, standings(found.facts, {}), sole_left=sole_left)

    first = plan(wedges)
    assert [each.key for each in first.parts] == ["sole", "ends", "cut", "part_swing", "stop"]
    minutes = {each.key: each.minutes for each in first.parts}
    assert minutes["ends"] == 5 and minutes["cut"] == 3  # six shots and two clubs; three shots and one
    assert str(first.sentence).startswith(f"Left, in minutes: sole {minutes['sole']}, ends 5, cut 3")
    assert ("leave out" in str(first.sentence)) is (sum(minutes.values()) > 45)
    nobody = [replace(each, typed_carry_m=None, typed_total_m=None) for each in wedges]
    unhit = {each.key: each.minutes for each in plan(nobody).parts}
    assert (unhit["ends"], unhit["cut"]) == (5, 3)
    # What is left of a test that is under way, and nothing of a sole that is chosen.
    assert {each.key: each.minutes for each in plan(wedges, 7).parts}["sole"] == 7
    chosen = plan(wedges, brief=Brief(end=BagEnd.SHORT, sole="wide"))
    assert "sole" not in {each.key for each in chosen.parts}

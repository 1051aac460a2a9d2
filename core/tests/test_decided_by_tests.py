"""What a test found of a wedge is the decision: replaced for what was seen, kept for what could not be."""

from dataclasses import replace

import pytest
from hemicycle_core.answers import answers_of
from hemicycle_core.answers.claims import claims_of
from hemicycle_core.answers.decided import expected_plan
from hemicycle_core.bag import BagEnd, HeadType
from hemicycle_core.decision import Because
from hemicycle_core.facts import Brief, Club, Facts, HitShot, RunAsked, Space, Visit
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.impact import Lie
from hemicycle_core.judge import Candidate, Kind, Liking
from hemicycle_core.judge.claims import Claim
from hemicycle_core.judge.two_wedges import two_wedges
from hemicycle_core.protocols.stop.ask import Seen, StopGreen
from hemicycle_core.runs import Ball
from hemicycle_core.shots import Shot
from hemicycle_core.simulation.golfer import Ground, Player, Swinging, SwungClub
from hemicycle_core.units import metres, mps
from hemicycle_core.wedges import Complaint

PLAYER = Player(
    speed_mps=36, attack_deg=-4, lean_deg=8, misses={}, speed_spread=0.013, loft_spread_deg=1.0, warm_up=0, tiring=0
)


def grooves(worn, seed, loft=56, n=5):
    """Half swings of one player, dry and wet."""
    made = []
    for lie in (None, Lie.WET):
        swinging = Swinging(PLAYER, seed, ground=Ground(lie) if lie else Ground())
        for row in swinging.shots(SwungClub(HeadType.WEDGE, loft, 0.9, worn=worn), n, known=True, length="half"):
            values = {name: value for name, value in row.items() if name != "strike"}
            made.append(Shot(values, protocol="grooves", lie=lie, swing="half", part=True, apart="half swing"))
    return made


def wedge(key, name, loft, carry=None, shots=(), **more):
    typed = {} if carry is None else {"typed_carry_m": metres(carry), "typed_total_m": metres(carry + 1)}
    lofts = {"stated_loft_deg": loft, "set_loft_deg": loft}
    airs = (Air(),) * len(shots)
    return Club(key, name, HeadType.WEDGE, shots=tuple(shots), airs=airs, **{**lofts, **typed, **more})


def visit(worn, *, seen=(), fresh=None, hit=True, old=None, **more):
    """A bag with an old 56 that bothers the player, and a fresh one of it on the stand, hit in the tests alone."""
    complaints = (Complaint.RUNS_OUT, Complaint.WORN)
    shots = [grooves(worn, 31), grooves(0.0, 32, (fresh or {}).get("stated_loft_deg", 56))] if hit else [(), ()]
    mine = wedge(2, "56", 56, 95, shots[0], complaints=complaints, age_rounds=200)
    clubs = (
        wedge(1, "PW", 46, 125, of_set=True),
        replace(mine, **(old or {})),
        replace(wedge(3, "Brackholm 56", 56, None, shots[1], letter="A", price=140.0), **(fresh or {})),
    )
    made = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
    given = {"visit": Visit(), "brief": Brief(end=BagEnd.SHORT), "space": Space(), "asked": RunAsked(), **more}
    return answers_of(Facts(clubs=clubs, hit=made, seen=tuple(seen), **given))


def seen_to(key, releases):
    """Balls seen to a hole at 25 yd."""
    return [Seen(key, Ball.OWN, metres(20), metres(20 + r), metres(abs(r - 5)), 1, metres(25)) for r in releases]


def test_what_is_worn_out_is_replaced_by_the_fresh_one_it_was_tested_beside():
    answers = visit(1.0)
    choice, bag = answers.decision.choice, answers.decision.bag
    assert (choice.letter, choice.letters, choice.because, choice.settled) == ("A", ("A",), Because.TESTED, True)
    assert str(choice.sentence).startswith("A for the 56, after tests: wet, 56 runs ")
    assert bag.dropped == ("56",) and bag.count == answers.decision.today.count
    lines = dict(bag.worth.lines)
    assert 0.005 < lines["tests"] < 0.1 and choice.gain_strokes == bag.worth.saves
    (verdict,) = answers.decided.verdicts
    assert verdict.kind is Kind.RECOMMENDED and verdict.headline == "Recommended, by the test"
    runs_out, worn = claims_of(answers.stand)
    assert (runs_out.claim, worn.claim) == (Claim.TRUE, Claim.TRUE) and "further than A" in str(runs_out.sentence)


def test_what_is_as_good_as_a_fresh_one_is_kept_and_the_decision_says_so():
    answers = visit(0.0)
    choice = answers.decision.choice
    assert (choice.letter, choice.because, choice.settled, choice.more) == (None, Because.TESTED, True, None)
    assert choice.sentence == "Keep the 56, after tests: what it loses to A cannot be seen on the green."
    assert [each.headline for each in answers.decided.verdicts] == ["Keep the 56: as good in the test"]
    assert [each.claim for each in claims_of(answers.stand)] == [Claim.NOT_SO, Claim.NOT_SO]


def test_what_was_seen_on_the_green_counts_before_what_is_computed():
    answers = visit(0.0, seen=[*seen_to(2, (6.8, 7.0, 7.2, 7.1)), *seen_to(3, (4.9, 5.0, 5.2, 5.1))])
    choice = answers.decision.choice
    assert choice.letter == "A" and "seen on the green, 56 runs 2.0 yd further than A" in str(choice.sentence)
    assert claims_of(answers.stand)[0].claim is Claim.TRUE
    alike = visit(1.0, hit=False, seen=[*seen_to(2, (5.0, 5.2, 4.9)), *seen_to(3, (4.9, 5.0, 5.2))])
    assert alike.decision.choice.sentence == "Keep the 56, after tests: seen on the green, 56 stops as soon as A."
    few = visit(1.0, hit=False, seen=[*seen_to(2, (7.0,)), *seen_to(3, (5.0,))])
    assert few.decision.choice.because is Because.NOTHING
    # Another hole that is played to now takes nothing back.
    moved = visit(
        0.0, seen=[*seen_to(2, (7.0, 7.2, 6.8)), *seen_to(3, (5.0, 5.2, 4.8))], stop_green=StopGreen(metres(40))
    )
    assert moved.decision.choice.letter == "A"
    # Dry it stops as soon and wet it runs on: complaint and decision are answered by both.
    wet = visit(1.0, seen=[*seen_to(2, (5.0, 5.2, 4.9)), *seen_to(3, (4.9, 5.0, 5.2))])
    assert wet.decision.choice.letter == "A" and {each.claim for each in claims_of(wet.stand)} == {Claim.TRUE}


@pytest.mark.parametrize(
    ("more", "letter", "said"),
    [
        ({"fresh": {"liking": Liking.VETOED}}, None, "Keep what is there"),
        ({"old": {"fixed": True}}, None, "It is fixed in the bag"),
        ({"brief": Brief(end=BagEnd.SHORT, budget=100)}, None, "costs more than the budget of 100"),
    ],
)
def test_a_test_does_not_overrule_the_player_the_bag_or_the_budget(more, letter, said):
    choice = visit(1.0, **more).decision.choice
    assert choice.letter == letter and said in str(choice.sentence)


def test_a_fresh_wedge_of_the_next_loft_is_read_as_if_it_had_that_of_the_old_one():
    at = {"stated_loft_deg": 58, "set_loft_deg": 58, "name": "Brackholm 58"}
    green = {"stop_green": StopGreen(metres(25), Firmness.MEDIUM)}
    worn, kept = visit(1.0, fresh=at, **green), visit(0.0, fresh=at, **green)
    found, other = worn.decision.choice, kept.decision.choice
    assert (found.letter, found.because, found.settled, other.because) == (None, Because.TESTED, False, Because.TESTED)
    assert "is worth replacing, after tests: wet, 56 runs" in str(found.sentence) and str(other.sentence)[:4] == "Keep"
    assert "Hit A with full swings first" in str(found.sentence)


@pytest.mark.parametrize(("carry", "goes"), [(99, ("54",)), (104, ())])
def test_a_kept_club_that_leaves_for_another_build_is_not_said_to_stay(carry, goes):
    """A was no better on the green than the 54, and is not offered again; C takes its place, or stands beside it."""
    answers = visit(0.0, hit=False, seen=[*seen_to(2, (5.0, 5.2, 4.9)), *seen_to(3, (4.9, 5.0, 5.2))])
    facts = answers.facts
    better = wedge(4, "Tarnvik 52", 52, None, full(carry), letter="C", price=150.0)
    old = replace(facts.by_key[2], name="54", set_loft_deg=54, typed_carry_m=metres(95))
    fresh = replace(facts.by_key[3], set_loft_deg=54)
    lob = wedge(5, "60", 60, 85)
    clubs = (facts.by_key[1], old, fresh, better, lob)
    hit = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
    found = answers_of(replace(facts, clubs=clubs, hit=hit))
    choice = found.decision.choice
    assert (choice.letters, found.decision.bag.dropped) == (("C",), goes)
    assert ("The 54 stays, after tests" in str(choice.sentence)) is (not goes)
    assert expected_plan(found.decided) is None


def full(carry, spin=9500):
    """Stock shots alike for every make."""
    offs = (-2.0, -1.0, 0.0, 0.5, 1.0, 1.5)
    return [
        Shot({"carry_m": metres(carry + o), "total_m": metres(carry + o + 1), "offline_m": metres(o),
              "ball_speed_mps": 38 + 0.2 * o, "launch_deg": 30 + 0.3 * o, "spin_rpm": spin + 100 * o})
        for o in offs
    ]  # fmt: skip


def hit_as(carry, read):
    """The same, as a monitor read them or as somebody typed the carries."""
    return full(carry) if read else [Shot({"carry_m": each.values["carry_m"]}) for each in full(carry)]


def eased(mean, offs):
    """Half swings about a carry."""
    return [
        Shot({"carry_m": metres(mean + o), "launch_deg": 31.0, "ball_speed_mps": 30 + 0.2 * o, "spin_rpm": 7000.0},
             swing="half", part=True, apart="half swing")
        for o in offs
    ]  # fmt: skip


def test_two_wedges_are_told_apart_in_a_sentence():
    def made(letter, up, spin, wide=1.0):
        shots = [
            Shot({"carry_m": metres(100 + wide * o), "launch_deg": up + 0.2 * o, "spin_rpm": spin + 40 * wide * o,
                  "club_speed_mps": mps(75) + 0.05 * o})
            for o in (-2, -1, 0, 1, 2)
        ]  # fmt: skip
        return Candidate(letter, letter, HeadType.WEDGE, shots)

    def said(*two):
        return str(two_wedges(*two))

    assert said(made("A", 27, 9500), made("B", 30, 7000)) == (
        "A leaves 3° lower with 2500 rpm more than B at the same speed. Evenness alike."
    )
    assert said(made("A", 30, 9500, 1), made("B", 30, 9500, 4)) == (
        "A leaves as high with as much spin as B at the same speed. "
        "A carries more evenly (within 4 yd, B within 16 yd) and "
        "A spins more evenly (within 200 rpm, B within 600 rpm)."
    )
    assert not two_wedges(made("A", 30, 9500), replace(made("B", 30, 9500), head_type=HeadType.IRON))


def test_the_wedge_that_is_eased_within_three_yards_wins_against_one_within_nine():
    near, wide = eased(60, (-3, -1, 0, 1, 3, 0)), eased(60, (-9, -4, 1, 4, 9, -1))
    for first, second, best in ((near, wide, "A"), (wide, near, "B")):
        clubs = [
            wedge(1, "PW", 46, 125, of_set=True),
            wedge(2, "60", 60, 80),
            wedge(3, "Brackholm 53", 53, None, [*full(102), *first], letter="A", price=150.0),
            wedge(4, "Tarnvik 53", 53, None, [*full(102), *second], letter="B", price=150.0),
        ]
        hit = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
        brief = Brief(end=BagEnd.SHORT)
        found = answers_of(Facts(Visit(), brief, Space(), RunAsked(), clubs=tuple(clubs), hit=hit)).decision
        assert found.choice.letter == best, str(found.choice.sentence)
        worths = {letter: worth.saves for letter, worth in found.worths.items()}
        assert max(worths, key=worths.get) == best
        other = "AB".replace(best, "")
        said = f"Eased to 60 yd {best} carries within 6 yd, {other} within 18 yd."
        assert found.choice.because is Because.SAVES_MOST and said in str(found.choice.sentence)


@pytest.mark.parametrize(
    ("own", "tried", "letters", "goes"),
    [
        # The new set wedge is strong: both under it stand wrong, and one alone leaves a step of 20.
        (((50, 106), (56, 92)), ((48, 112), (54, 98)), ("A", "B"), ("50", "56")),
        # The 54 is in its place: only what is under the set wedge changes.
        (((50, 106), (54, 98)), ((48, 112), (54, 97)), ("A",), ("50",)),
    ],
)
@pytest.mark.parametrize("read", [True, False])
def test_two_wedges_come_for_two_where_one_alone_leaves_a_wrong_step(own, tried, letters, goes, read):
    """Typed as carries alone they are judged as fairly: nobody read the line of what is in the bag either."""
    clubs = [
        Club(90, "9i", HeadType.IRON, typed_carry_m=metres(138), typed_total_m=metres(142), set_loft_deg=38),
        wedge(1, "PW", 43, 126, of_set=True),
        *(wedge(2 + at, str(loft), loft, carry) for at, (loft, carry) in enumerate(own)),
        wedge(4, "60", 60, 84),
        *(
            wedge(20 + at, f"Brackholm {loft}", loft, None, hit_as(carry, read), letter="AB"[at], price=150.0)
            for at, (loft, carry) in enumerate(tried)
        ),
    ]
    hit = tuple(HitShot(club.key, shot, Air()) for club in clubs for shot in club.shots)
    space = Space(clubs_to_place=2)
    found = answers_of(Facts(Visit(), Brief(end=BagEnd.SHORT), space, RunAsked(), clubs=tuple(clubs), hit=hit)).decision
    assert (found.choice.letters, found.bag.dropped) == (letters, goes)
    if len(letters) > 1:
        assert "The 50 and the 56 go for it. 2 yardages are to be learned anew" in str(found.choice.sentence)

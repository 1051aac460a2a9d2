"""Which club a shot was hit with: by the monitor's clock, with what is not sure said."""

import pytest
from hemicycle_core.samples.when import Clock, HeldBy, HitWith, Spell, Taken, held_by, hit_with
from hypothesis import given
from hypothesis import strategies as st

A, B, C = 1, 2, 3
TAKEN = [Taken(A, 0.0), Taken(B, 100.0), Taken(C, 200.0)]


@pytest.mark.parametrize(
    ("hit", "came", "build", "instead"),
    [
        (50.0, 52.0, A, None),
        (98.5, 101.0, A, B),  # hit before B was taken, came after
        (101.0, 103.0, B, A),
        (102.5, 104.0, B, None),
        (150.0, 151.0, B, None),
        (150.0, 240.0, B, C),  # long on the way, and another club is in hand by now
        (201.5, 202.0, C, B),
        (-5.0, 1.0, A, None),
        (None, 150.0, C, B),  # no clock: what is in hand now, taken after it came by ours or just before
        (None, 203.0, C, B),
        (None, 250.0, C, None),
        (-1e9, 250.0, C, None),  # a clock that was set anew tells nothing
        (1e9, 203.0, C, B),
    ],
)
def test_a_shot_belongs_to_what_was_in_hand_when_it_was_hit(hit, came, build, instead):
    found = hit_with(TAKEN, came, hit)
    assert (found.build, found.instead) == (build, instead)
    assert bool(found.why) == (instead is not None)


def test_the_same_club_taken_again_is_no_doubt():
    assert hit_with([Taken(A, 0.0), Taken(A, 10.0)], 11.0, 10.5) == HitWith(A, hit_s=10.5)
    assert hit_with([Taken(A, 0.0)], 0.5, None) == HitWith(A)


def heard(*offsets, every=10.0):
    """A clock by messages that came `every` seconds apart with these offsets."""
    clock = Clock()
    for number, off in enumerate(offsets):
        clock = clock.after(1000.0 + every * number - off, 1000.0 + every * number)
    return clock


def test_a_clock_that_jumps_is_noticed_at_once_and_known_again_after_three_that_agree():
    """Six hundred seconds one way filed twenty shots under an old club; either way nothing is told by it now."""
    for jump in (600.0, -600.0):
        one, two, three = (heard(0.4, 0.2, 0.3, *[jump + each for each in (0.5, 0.3, 0.6)[:n]]) for n in (1, 2, 3))
        assert not one.known and not two.known
        assert one.jumped_s == pytest.approx(jump, abs=1)
        assert three.known and three.offset_s == pytest.approx(jump, abs=1)
    filed = hit_with(TAKEN, 150.0, None, jumped_s=600.0)
    assert filed.build == C and "600 s off" in filed.why and filed.hit_s is None


def test_one_message_that_was_long_on_its_way_is_no_jump():
    late = heard(0.4, 0.2, 0.3, 95.0)
    assert not late.known
    assert late.after(2000.0 - 0.3, 2000.0) == heard(0.4, 0.2, 0.3, 0.3)
    # Shots that were held back together come at once: their offsets do not agree.
    held_back = heard(0.4, 0.2, 0.3, 95.0, 80.0, 61.0, 44.0, every=0.0)
    assert not held_back.known


SPELLS = [Spell(A, 0.0), Spell(B, 100.0), Spell(None, 200.0), Spell(A, 300.0)]


@pytest.mark.parametrize(
    ("spells", "hit", "came", "session", "why"),
    [
        (SPELLS[:2], 50.0, 150.0, A, ""),  # hit for A, heard of after B took the bay
        (SPELLS[:2], 98.7, 101.0, None, "hit 1.3 s before the bay was handed on"),
        (SPELLS[:2], 101.0, 101.5, None, "hit 1.0 s after the bay was handed on"),
        (SPELLS[:2], 150.0, 151.0, B, ""),
        (SPELLS[:2], None, 100.3, None, "came 0.3 s after the bay was handed on"),
        (SPELLS[:2], None, 105.0, B, ""),
        (SPELLS, 250.0, 251.0, None, ""),  # nobody had it
        (SPELLS, 301.0, 302.0, A, ""),  # from nobody to somebody there is no doubt
        (SPELLS, None, 300.5, A, ""),
        (SPELLS[:1], None, 0.5, A, ""),
    ],
)
def test_a_shot_is_of_whom_the_bay_served_when_it_was_hit_and_between_two_of_nobody(spells, hit, came, session, why):
    assert held_by(spells, came, hit) == HeldBy(session, why)


@given(st.floats(-1e6, 1e6), st.lists(st.floats(0.05, 20), min_size=3, max_size=30))
def test_the_clock_is_never_further_off_than_the_quickest_message_took(behind, delays):
    clock = Clock()
    for number, delay in enumerate(delays):
        came = 1000.0 * number
        clock = clock.after(came - delay - behind, came)
    assert clock.known
    assert clock.offset_s - behind == pytest.approx(min(delays[-20:]), abs=1e-3)

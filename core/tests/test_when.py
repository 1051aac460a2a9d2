"""Which club a shot was hit with: by the monitor's clock, with what is not sure said."""

import pytest
from hemicycle_core.samples.when import Clock, HitWith, Taken, hit_with
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


@given(st.floats(-1e6, 1e6), st.lists(st.floats(0.05, 20), min_size=3, max_size=30))
def test_the_clock_is_never_further_off_than_the_quickest_message_took(behind, delays):
    clock = Clock()
    for number, delay in enumerate(delays):
        came = 1000.0 * number
        clock = clock.after(came - delay - behind, came)
    assert clock.known
    assert clock.offset_s - behind == pytest.approx(min(delays[-20:]), abs=1e-3)

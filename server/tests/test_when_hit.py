"""A shot belongs to the club that was in hand when it was hit, by the monitor's own clock."""

from datetime import timedelta

import pytest
from django.utils import timezone
from fitting.models import Build, Shot, TakenInHand
from live.actions import FeedShot, feed_key_of, make_key, receive
from shop.models import AuditEntry, Bay

JSON = "application/json"
BEHIND = timedelta(hours=2, seconds=17)  # the monitor's clock


@pytest.fixture
def hit(session):
    """Send a shot that was hit so many seconds ago, by a monitor whose clock is far off; known from three shots on."""
    key = feed_key_of(make_key(Bay.objects.get(shop=session.shop), label="test"))

    def send(name, ago, *, clock=True):
        said = timezone.now() - timedelta(seconds=ago) - BEHIND if clock else None
        receive(key, [FeedShot(name, {"carry_m": 160.0}, said)])
        return Shot.objects.latest("pk")

    for name in ("first", "second", "third"):
        send(name, 0.0)
    return send


def test_a_shot_that_came_after_the_switch_is_of_the_club_it_was_hit_with(session, hit):
    a = Build.objects.get(letter="A")
    TakenInHand.objects.all().delete()
    own = Build.objects.get(session=session, name="5i")
    for build, ago in ((a, 300), (own, 5)):
        at = timezone.now() - timedelta(seconds=ago)
        TakenInHand.objects.create(shop_id=session.shop_id, session=session, build=build, at=at)
    session.in_hand = own
    session.save()
    late = hit("late", 12)
    assert (late.run.build, late.check_club, late.instead) == (a, "", None)
    assert abs((timezone.now() - late.hit_at).total_seconds() - 12) < 1
    near = hit("near", 4)
    assert (near.run.build, near.instead) == (own, a) and near.check_club.endswith("s after it was taken")
    without = hit("without", 0, clock=False)
    assert without.run.build == own and without.hit_at is None and without.check_club == ""  # five seconds after


def test_one_act_files_it_under_the_other_or_says_that_it_is_right_and_both_are_taken_back(desk, session, hit):
    own = Build.objects.get(session=session, name="5i")
    desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": own.pk}, content_type=JSON)
    first, second = hit("one", 0.5), hit("two", 0.5)
    told = {shot["id"]: shot for shot in desk.get(f"/api/sessions/{session.pk}").json()["shots"]}
    assert all(told[each.pk]["check_club"] and told[each.pk]["instead"] for each in (first, second))
    desk.put(f"/api/shots/{first.pk}/build", {"build": told[first.pk]["instead"]}, content_type=JSON)
    desk.put(f"/api/shots/{second.pk}/club")
    first.refresh_from_db(), second.refresh_from_db()
    assert {first.check_club, second.check_club} == {""}
    assert first.run.build_id == told[first.pk]["instead"] and second.run.build_id == told[second.pk]["build"]
    assert AuditEntry.objects.filter(action="shot.club").exists()
    desk.post(f"/api/sessions/{session.pk}/undo")
    second.refresh_from_db()
    assert second.check_club and second.instead_id

"""The API of the Bag: its clubs, rules and targets."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given
from hemicycle_core.bag.averages import TypedAverage
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import averages, builds, targets
from ..answers import changed, documented_change
from ..schemas.bag import AveragesIn, ClubChange, ClubIn, GapIn, RulesIn, Stated, TargetIn


class GapView(APIView):
    @documented_change(GapIn, name="choose_gap", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        gap = given(request, GapIn)
        targets.choose_gap(
            actor_of(request),
            session_id,
            rule=gap.rule,
            clubs_to_place=gap.clubs_to_place,
            gap_above_id=gap.gap_above,
            order=gap.order,
            flight=gap.flight,
            ways=gap.ways,
            named=gap.named,
            like_for_id=gap.like_for,
            wish=gap.wish,
        )
        return changed(request, session_id)


class RulesView(APIView):
    @documented_change(RulesIn, name="choose_rules", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        """The short end's rule, the steps wanted, and the turf that roll-out is reckoned on."""
        new = given(request, RulesIn)
        targets.choose_rules(
            actor_of(request), session_id, targets.RuleChoice(**{**asdict(new), "turf": new.turf or ""})
        )
        return changed(request, session_id)


class TargetView(APIView):
    @documented_change(TargetIn, name="set_target", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, TargetIn)
        targets.set_target(
            actor_of(request), session_id, slot=new.slot, quantity=new.quantity, low=new.low, high=new.high
        )
        return changed(request, session_id)


class ClubsView(APIView):
    @documented_change(ClubIn, name="add_club", tags=["bag"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, ClubIn)
        builds.add_club(
            actor_of(request),
            session_id,
            name=new.name,
            head_type=new.head_type,
            set_loft_deg=new.set_loft_deg,
            typed_carry_m=new.typed_carry_m,
            typed_total_m=new.typed_total_m,
            typed_doubt_m=new.typed_doubt_m,
            fixed=new.fixed,
        )
        return changed(request, session_id, 201)


class AveragesView(APIView):
    @documented_change(AveragesIn, name="type_averages", tags=["bag"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """Averages of several of the player's own clubs at once, as a screen sums their balls up: all or none."""
        clubs = [
            averages.ClubAverage(each.name, TypedAverage(each.carry_m, each.balls, each.within_m), each.total_m)
            for each in given(request, AveragesIn).clubs
        ]
        averages.type_averages(actor_of(request), session_id, clubs)
        return changed(request, session_id, 201)


class BuildView(APIView):
    @documented_change(ClubChange, name="change_club", tags=["bag"])
    def put(self, request: Request, build_id: int) -> Response:
        new = given(request, ClubChange)
        sent = {key: value for key, value in asdict(new).items() if key in request.data}
        build = builds.change_club(actor_of(request), build_id, **sent)
        return changed(request, build.session_id)

    @documented_change(None, name="drop_club", tags=["bag"])
    def delete(self, request: Request, build_id: int) -> Response:
        """Out of the bag or off the stand; its shots stay on record."""
        return changed(request, builds.drop_club(actor_of(request), build_id).session_id)


class StatedView(APIView):
    @documented_change(Stated, name="state_club", tags=["bag"])
    def put(self, request: Request, build_id: int) -> Response:
        """What the player or the gauge says of a club; null or a field that is not sent leaves it as it is."""
        stated = {key: value for key, value in vars(given(request, Stated)).items() if value is not None}
        build = builds.state_club(actor_of(request), build_id, stated)
        return changed(request, build.session_id)

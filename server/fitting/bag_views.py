"""The API of the Bag: its clubs, rules and targets, files, the short list, plans."""

from __future__ import annotations

from dataclasses import asdict

from config.api import actor_of, given, serializer_of, shown
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.policy import shop_of

from . import import_pictures as ip
from . import inputs
from . import planning_pictures as pp
from .actions import builds, imports, plans, sessions
from .answers import SessionOut, session_of, shown_whole
from .models import BagPlan
from .plans import plans_picture
from .rack_list import records_of, seen_of, shortlist_picture
from .read import load

PreviewOut = serializer_of(ip.ImportPreview)
ImportOut = serializer_of(ip.ImportResult)
PlansOut = serializer_of(pp.PlansPicture)
ShortlistOut = serializer_of(pp.ShortlistPicture)


class GapView(APIView):
    @extend_schema(request=inputs.GapIn, responses=SessionOut, operation_id="choose_gap", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        gap = given(request, inputs.GapIn)
        sessions.choose_gap(
            actor_of(request),
            session_id,
            rule=gap.rule,
            clubs_to_place=gap.clubs_to_place,
            hole_above_id=gap.hole_above,
            like_for_id=gap.like_for,
        )
        return shown_whole(request, session_id)


class RulesView(APIView):
    @extend_schema(request=inputs.RulesIn, responses=SessionOut, operation_id="choose_rules", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        """The short end's rule, the steps wanted, and the turf that roll-out is reckoned on."""
        new = given(request, inputs.RulesIn)
        sessions.choose_rules(
            actor_of(request), session_id, sessions.RuleChoice(**{**asdict(new), "turf": new.turf or ""})
        )
        return shown_whole(request, session_id)


class TargetView(APIView):
    @extend_schema(request=inputs.TargetIn, responses=SessionOut, operation_id="set_target", tags=["sessions"])
    def put(self, request: Request, session_id: int) -> Response:
        new = given(request, inputs.TargetIn)
        sessions.set_target(
            actor_of(request), session_id, slot=new.slot, quantity=new.quantity, low=new.low, high=new.high
        )
        return shown_whole(request, session_id)


class ClubsView(APIView):
    @extend_schema(request=inputs.ClubIn, responses={201: SessionOut}, operation_id="add_club", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, inputs.ClubIn)
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
        return shown_whole(request, session_id, 201)


class BuildView(APIView):
    @extend_schema(request=inputs.ClubChangeIn, responses=SessionOut, operation_id="change_club", tags=["bag"])
    def put(self, request: Request, build_id: int) -> Response:
        new = given(request, inputs.ClubChangeIn)
        sent = {key: value for key, value in asdict(new).items() if key in request.data}
        build = builds.change_club(actor_of(request), build_id, **sent)
        return shown_whole(request, build.session_id)

    @extend_schema(request=None, responses={200: SessionOut}, operation_id="drop_club", tags=["bag"])
    def delete(self, request: Request, build_id: int) -> Response:
        """Out of the bag or off the stand; its shots stay on record."""
        return shown_whole(request, builds.drop_club(actor_of(request), build_id).session_id)


class CandidatesView(APIView):
    @extend_schema(
        request=inputs.CandidatesIn, responses={201: SessionOut}, operation_id="add_candidates", tags=["bay"]
    )
    def post(self, request: Request, session_id: int) -> Response:
        """Put heads and shafts from the rack on the stand, all or none of them."""
        new = given(request, inputs.CandidatesIn)
        wanted = [builds.CandidateChoice(**asdict(each)) for each in new.candidates]
        builds.add_candidates(actor_of(request), session_id, wanted)
        return shown_whole(request, session_id, 201)


class ShortlistView(APIView):
    @extend_schema(responses=ShortlistOut, operation_id="shortlist", tags=["bag"])
    def get(self, request: Request, session_id: int) -> Response:
        """Which heads of the rack should land in the window, ranked."""
        return Response(shown(ShortlistOut, shortlist_picture(load(session_of(request, session_id)))))


def _plans(request: Request, session_id: int, status: int = 200) -> Response:
    session = session_of(request, session_id)
    kept = BagPlan.objects.of(session.shop_id).filter(session=session).prefetch_related("builds")
    records = records_of(seen_of(session))
    return Response(shown(PlansOut, plans_picture(load(session), list(kept), records)), status=status)


class PlansView(APIView):
    @extend_schema(responses=PlansOut, operation_id="plans", tags=["bag"])
    def get(self, request: Request, session_id: int) -> Response:
        """The bag of today, the best one found, and the plans kept beside them."""
        return _plans(request, session_id)

    @extend_schema(request=inputs.PlanIn, responses={201: PlansOut}, operation_id="keep_plan", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        new = given(request, inputs.PlanIn)
        plans.keep_plan(actor_of(request), session_id, plans.PlanChoice(**asdict(new)))
        return _plans(request, session_id, 201)


class PlanView(APIView):
    @extend_schema(request=inputs.PlanIn, responses=PlansOut, operation_id="change_plan", tags=["bag"])
    def put(self, request: Request, plan_id: int) -> Response:
        new = given(request, inputs.PlanIn)
        row = BagPlan.objects.one(shop_of(request), plan_id)
        plans.keep_plan(actor_of(request), row.session_id, plans.PlanChoice(**asdict(new)), plan_id=plan_id)
        return _plans(request, row.session_id)

    @extend_schema(request=None, responses={200: PlansOut}, operation_id="drop_plan", tags=["bag"])
    def delete(self, request: Request, plan_id: int) -> Response:
        return _plans(request, plans.drop_plan(actor_of(request), plan_id).pk)


class ImportedView(APIView):
    @extend_schema(request=inputs.UndoneIn, responses=SessionOut, operation_id="undo_import", tags=["bag"])
    def put(self, request: Request, import_id: int) -> Response:
        """Take a file's shots back, or bring them in again."""
        undone = given(request, inputs.UndoneIn).undone
        return shown_whole(request, imports.undo_import(actor_of(request), import_id, undone=undone).pk)


class ImportPreviewView(APIView):
    @extend_schema(request=inputs.ImportIn, responses=PreviewOut, operation_id="preview_import", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        """How a file would be read; changes nothing."""
        wanted = given(request, inputs.ImportIn).request()
        return Response(shown(PreviewOut, imports.preview(session_of(request, session_id), wanted)))


class ImportView(APIView):
    @extend_schema(request=inputs.ImportIn, responses={201: ImportOut}, operation_id="import_shots", tags=["bag"])
    def post(self, request: Request, session_id: int) -> Response:
        result = imports.import_shots(actor_of(request), session_id, given(request, inputs.ImportIn).request())
        return Response(shown(ImportOut, result), status=201)

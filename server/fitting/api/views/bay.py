"""The API of the Bay: the stand, the build in hand, shots and what is said of them."""

from __future__ import annotations

from dataclasses import asdict

from common.api import given, named, serializer_of, shown
from drf_spectacular.utils import OpenApiParameter, extend_schema
from hemicycle_core.errors import BadInput
from hemicycle_core.judge import Change
from hemicycle_core.said import say
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import acts, builds, sessions, shots, tasks
from ..answers import changed, documented_change, judged, row_of, seen, session_of
from ..present.bay import present_acts
from ..present.session import present_earlier
from ..schemas.bay import (
    AcceptedIn,
    ActsOut,
    AsideIn,
    AskIn,
    BorrowedIn,
    CandidatesIn,
    CountsIn,
    DayIn,
    InHandIn,
    LevelIn,
    LevelOut,
    LieIn,
    MoveIn,
    OtherwiseIn,
    PinIn,
    RunIn,
    SettingIn,
    ShotsIn,
    StrikeIn,
    SwingIn,
    TaskIn,
    TypedIn,
)
from ..schemas.session import EarlierShots


class CandidatesView(APIView):
    @documented_change(CandidatesIn, name="add_candidates", tags=["bay"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """Put heads and shafts from the rack on the stand, all or none of them."""
        new = given(request, CandidatesIn)
        wanted = [builds.CandidateChoice(**asdict(each)) for each in new.candidates]
        builds.add_candidates(actor_of(request), session_id, wanted, again=new.again)
        return changed(request, session_id, 201)


class SettingsView(APIView):
    @documented_change(SettingIn, name="new_setting", tags=["bay"], status=201)
    def post(self, request: Request, build_id: int) -> Response:
        """The same build at another sleeve setting, as a build of its own."""
        setting = given(request, SettingIn)
        build = builds.new_setting(actor_of(request), build_id, set_loft_deg=setting.set_loft_deg)
        return changed(request, build.session_id, 201)


class OtherwiseView(APIView):
    @documented_change(OtherwiseIn, name="make_otherwise", tags=["bay"], status=201)
    def post(self, request: Request, build_id: int) -> Response:
        """A club of the stand or of the player's own, made otherwise, as a build of its own."""
        asked = given(request, OtherwiseIn)
        changes = [Change(each.kind, each.amount) for each in asked.changes]
        build = builds.make_otherwise(actor_of(request), build_id, changes, shaft_id=asked.shaft)
        return changed(request, build.session_id, 201)


class BorrowedView(APIView):
    @documented_change(BorrowedIn, name="borrow", tags=["bay"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """A club that is neither of the rack nor the player's own."""
        builds.borrow(actor_of(request), session_id, **vars(given(request, BorrowedIn)))
        return changed(request, session_id, 201)


class LevelView(APIView):
    @extend_schema(
        parameters=[OpenApiParameter("loft_deg", float, required=True)],
        responses=serializer_of(LevelOut)(many=True),
        operation_id="levels",
        tags=["bay"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """What turning the stand to one loft would do to each build."""
        try:
            loft = float(request.query_params.get("loft_deg", ""))
        except ValueError as error:
            raise BadInput(say("act-give-loft-number"), field="loft_deg") from error
        found = builds.levels(actor_of(request), session_id, loft_deg=loft)
        return Response(shown([LevelOut(b.letter, b.name, each.loft_deg, each.why) for b, each in found]))

    @documented_change(LevelIn, name="turn_to_one_loft", tags=["bay"], status=201)
    def post(self, request: Request, session_id: int) -> Response:
        """Every head of the stand that turns, at the position nearest to one loft."""
        builds.turn_to_one_loft(actor_of(request), session_id, loft_deg=given(request, LevelIn).loft_deg)
        return changed(request, session_id, 201)


class AcceptedView(APIView):
    @documented_change(AcceptedIn, name="accept", tags=["bag"])
    def put(self, request: Request, build_id: int) -> Response:
        """Take a build into the bag for the time being, or out of it again."""
        build = builds.accept(actor_of(request), build_id, accepted=given(request, AcceptedIn).accepted)
        return changed(request, build.session_id)


class InHandView(APIView):
    @documented_change(InHandIn, name="take_in_hand", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        builds.take_in_hand(actor_of(request), session_id, build_id=given(request, InHandIn).build)
        return seen(request, session_id)


class ShotAsideView(APIView):
    @documented_change(AsideIn, name="set_aside", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        new = given(request, AsideIn)
        shot = shots.set_aside(actor_of(request), shot_id, aside=new.aside, reason=new.reason)
        return seen(request, shot.session_id)


class ShotStrikeView(APIView):
    @documented_change(StrikeIn, name="call_strike", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        shot = shots.call_strike(actor_of(request), shot_id, strike=given(request, StrikeIn).strike)
        return seen(request, shot.session_id)


class ShotCountsView(APIView):
    @documented_change(CountsIn, name="say_what_counts", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        new = given(request, CountsIn)
        shot = shots.say_what_counts(actor_of(request), shot_id, **asdict(new))
        return seen(request, shot.session_id)


class AskView(APIView):
    @documented_change(AskIn, name="ask_for", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """What the player is asked to hit from now on."""
        asked = given(request, AskIn)
        sessions.ask_for(actor_of(request), session_id, intent=asked.intent, protocol=asked.protocol)
        return seen(request, session_id)


class TaskView(APIView):
    @documented_change(TaskIn, name="take_up_task", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """What a test asks for next: club, swing and lie at once."""
        task = given(request, TaskIn)
        tasks.take_up(
            actor_of(request), session_id, build_id=task.build, protocol=task.protocol, length=task.length, lie=task.lie
        )
        return seen(request, session_id)


class SwingView(APIView):
    @documented_change(SwingIn, name="change_swing", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """The player was told to swing otherwise, or that word is taken back."""
        sessions.change_swing(actor_of(request), session_id, changed=given(request, SwingIn).changed)
        return seen(request, session_id)


class LieView(APIView):
    @documented_change(LieIn, name="hit_from", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """What the next shots are hit from."""
        sessions.hit_from(actor_of(request), session_id, lie=given(request, LieIn).lie)
        return seen(request, session_id)


class RunView(APIView):
    @documented_change(RunIn, name="set_run", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """How long the next swings are, with which ball, off which tee, in which wind and air."""
        new = given(request, RunIn)
        said = named(request.data, new)
        temperature_c = said.pop("temperature_c", None)
        sessions.set_run(actor_of(request), session_id, said, temperature_c=temperature_c)
        return seen(request, session_id)


class DayView(APIView):
    @documented_change(DayIn, name="say_day", tags=["bay"], seen=True)
    def put(self, request: Request, session_id: int) -> Response:
        """That everything flies today, or nothing does."""
        sessions.say_day(actor_of(request), session_id, kind=given(request, DayIn).kind)
        return seen(request, session_id)


class ShotPinView(APIView):
    @documented_change(PinIn, name="pin_shot", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        """Keep a shot in sight as the one to copy."""
        shot = shots.pin_shot(actor_of(request), shot_id, pinned=given(request, PinIn).pinned)
        return seen(request, shot.session_id)


class ShotMoveView(APIView):
    @documented_change(MoveIn, name="move_shot", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        shot = shots.move_shot(actor_of(request), shot_id, build_id=given(request, MoveIn).build)
        return seen(request, shot.session_id)


class ShotClubView(APIView):
    @documented_change(None, name="keep_club", tags=["bay"], seen=True)
    def put(self, request: Request, shot_id: int) -> Response:
        """A shot whose club was not sure is of the one it is filed under."""
        shot = shots.keep_club(actor_of(request), shot_id)
        return seen(request, shot.session_id)


class ShotsView(APIView):
    @documented_change(ShotsIn, name="change_shots", tags=["bay"])
    def put(self, request: Request, session_id: int) -> Response:
        """Move, set aside or tag several shots in one act."""
        new = given(request, ShotsIn)
        wanted = shots.ForAll(new.aside, new.reason, "" if new.no_strike else new.strike, new.build)
        shots.change_shots(actor_of(request), session_id, new.shots, wanted)
        return changed(request, session_id)

    @extend_schema(
        parameters=[OpenApiParameter("before", int, required=True, description="The number of a shot.")],
        responses=serializer_of(EarlierShots),
        operation_id="earlier_shots",
        tags=["bay"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """The shots of a session that were hit before one, the newest of them."""
        before = request.query_params.get("before", "")
        if not before.isdecimal() or len(before) > 9:
            raise BadInput(say("act-before-which-shot"), field="before")
        return Response(shown(present_earlier(judged(session_of(request, session_id)), int(before))))

    @documented_change(TypedIn, name="type_shot", tags=["bay"], status=201, seen=True)
    def post(self, request: Request, session_id: int) -> Response:
        """A shot that no monitor sends, as somebody reads it off a screen."""
        new = given(request, TypedIn)
        shots.type_in(actor_of(request), session_id, build_id=new.build, readings=shots.read_off(new))
        return seen(request, session_id, 201)


class ActsView(APIView):
    @extend_schema(
        parameters=[OpenApiParameter("trail", bool, description="Without it, `false`: only what can be taken back.")],
        responses=serializer_of(ActsOut),
        operation_id="acts",
        tags=["bay"],
    )
    def get(self, request: Request, session_id: int) -> Response:
        """What was done in this session, newest first, and what whoever asks can take back or do again."""
        trail = request.query_params.get("trail") != "false"
        return Response(shown(present_acts(row_of(request, session_id), actor_of(request), trail=trail)))


class UndoView(APIView):
    @documented_change(None, name="undo", tags=["bay"])
    def post(self, request: Request, session_id: int) -> Response:
        """Take the last thing back that whoever asks did here."""
        acts.undo(actor_of(request), session_id)
        return changed(request, session_id)


class RedoView(APIView):
    @documented_change(None, name="redo", tags=["bay"])
    def post(self, request: Request, session_id: int) -> Response:
        """Do again what whoever asks took back last."""
        acts.redo(actor_of(request), session_id)
        return changed(request, session_id)

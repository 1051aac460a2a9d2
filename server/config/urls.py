"""Every address. The API is under /api/; anything else is the front end, which routes by itself."""

from django.conf import settings
from django.http import FileResponse, HttpRequest, HttpResponse
from django.urls import include, path, re_path
from feed import views as feed
from fitting import bag_views as bag
from fitting import views as fitting
from handover import views as handover
from rack import views as rack
from shop import views as shop

from .problems import page_not_found

handler400 = "config.problems.bad_request"
handler404 = "config.problems.page_not_found"
handler500 = "config.problems.server_error"


def front_end(_request: HttpRequest) -> HttpResponse | FileResponse:
    index = settings.WEB_DIST / "index.html"
    if not index.is_file():
        return HttpResponse("The front end is not built. Run ./hemicycle start.", status=503, content_type="text/plain")
    return HttpResponse(index.read_bytes(), headers={"Cache-Control": "no-cache"})


api = [
    path("me", shop.MeView.as_view()),
    path("sign-in", shop.SignInView.as_view()),
    path("sign-out", shop.SignOutView.as_view()),
    path("shop", shop.ShopView.as_view()),
    path("bays/<int:bay_id>", shop.BayView.as_view()),
    path("customers", fitting.CustomersView.as_view()),
    path("rack", rack.RackView.as_view()),
    path("sessions", fitting.SessionsView.as_view()),
    path("sessions/<int:session_id>", fitting.SessionView.as_view()),
    path("sessions/<int:session_id>/stream", feed.stream),
    path("sessions/<int:session_id>/brief", fitting.BriefView.as_view()),
    path("sessions/<int:session_id>/gap", bag.GapView.as_view()),
    path("sessions/<int:session_id>/targets", bag.TargetView.as_view()),
    path("sessions/<int:session_id>/clubs", bag.ClubsView.as_view()),
    path("sessions/<int:session_id>/import/preview", bag.ImportPreviewView.as_view()),
    path("sessions/<int:session_id>/import", bag.ImportView.as_view()),
    path("sessions/<int:session_id>/candidates", bag.CandidatesView.as_view()),
    path("sessions/<int:session_id>/in-hand", fitting.InHandView.as_view()),
    path("sessions/<int:session_id>/rules", bag.RulesView.as_view()),
    path("sessions/<int:session_id>/shortlist", bag.ShortlistView.as_view()),
    path("sessions/<int:session_id>/plans", bag.PlansView.as_view()),
    path("plans/<int:plan_id>", bag.PlanView.as_view()),
    path("imports/<int:import_id>", bag.ImportedView.as_view()),
    path("sessions/<int:session_id>/bench", fitting.BenchView.as_view()),
    path("sessions/<int:session_id>/handover", handover.HandoverView.as_view()),
    path("sessions/<int:session_id>/handover/draft", handover.DraftView.as_view()),
    path("builds/<int:build_id>", bag.BuildView.as_view()),
    path("builds/<int:build_id>/what-if", fitting.WhatIfView.as_view()),
    path("builds/<int:build_id>/settings", fitting.SettingsView.as_view()),
    path("shots/<int:shot_id>/aside", fitting.ShotAsideView.as_view()),
    path("shots/<int:shot_id>/strike", fitting.ShotStrikeView.as_view()),
    path("shots/<int:shot_id>/counts", fitting.ShotCountsView.as_view()),
    path("sessions/<int:session_id>/intent", fitting.IntentView.as_view()),
    path("shots/<int:shot_id>/build", fitting.ShotMoveView.as_view()),
    path("bays/<int:bay_id>/stand-in", feed.StandInView.as_view()),
    path("feed/tee", feed.FeedTee.as_view()),
    path("feed/shots", feed.FeedShots.as_view()),
]

urlpatterns = [
    path("api/", include(api)),
    re_path(r"^api/", page_not_found),
    re_path(r"^(?!static/).*$", front_end),
]

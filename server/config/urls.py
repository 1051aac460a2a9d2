"""Every address. The API is under /api/; anything else is the front end, which routes by itself."""

from common.problems import page_not_found
from customers import views as customers
from django.conf import settings
from django.http import FileResponse, HttpRequest, HttpResponse
from django.urls import include, path, re_path
from fitting.api import trials
from fitting.api.views import (
    bag,
    bay,
    bench,
    brief,
    desk,
    imports,
    pad,
    plans,
    player,
    session,
    shortlist,
    soles,
    wedges,
)
from handover import views as handover
from handover import views_customer as customer
from live import views as live
from rack import views as rack
from shop import views as shop
from shop import views_opening as opening
from shop import views_people as people

from demo import views as try_out

handler400 = "common.problems.bad_request"
handler404 = "common.problems.page_not_found"
handler500 = "common.problems.server_error"


def no_probe(_request: HttpRequest) -> HttpResponse:
    """What asks whether all is well is not told so by the front end."""
    return HttpResponse("Not found.", status=404, content_type="text/plain")


def front_end(_request: HttpRequest) -> HttpResponse | FileResponse:
    index = settings.WEB_DIST / "index.html"
    if not index.is_file():
        return HttpResponse("The front end is not built. Run ./hemicycle start.", status=503, content_type="text/plain")
    return HttpResponse(index.read_bytes(), headers={"Cache-Control": "no-cache"})


api = [
    path("me", shop.MeView.as_view()),
    path("sign-in", shop.SignInView.as_view()),
    path("opening", opening.OpeningView.as_view()),
    path("sign-out", shop.SignOutView.as_view()),
    path("shop", shop.ShopView.as_view()),
    path("bays", shop.BaysView.as_view()),
    path("bays/<int:bay_id>", shop.BayView.as_view()),
    path("shop/name", shop.ShopNameView.as_view()),
    path("people", people.PeopleView.as_view()),
    path("people/<int:user_id>", people.PersonView.as_view()),
    path("me/password", people.PasswordView.as_view()),
    path("me/keys", people.MyKeysView.as_view()),
    path("me/units", people.MyUnitsView.as_view()),
    path("me/other-sign-ins", people.OtherSignInsView.as_view()),
    path("shop/columns", shop.ColumnsView.as_view()),
    path("shop/rules", shop.ShopRulesView.as_view()),
    path("trail", people.TrailView.as_view()),
    path("customers", customers.CustomersView.as_view()),
    path("customers/book", customers.BookView.as_view()),
    path("customers/<int:customer_id>", customer.CustomerView.as_view()),
    path("customers/<int:customer_id>/merge", customer.MergeView.as_view()),
    path("customers/<int:customer_id>/export", customer.ExportView.as_view()),
    path("rack", rack.RackView.as_view()),
    path("rack/usual", rack.UsualView.as_view()),
    path("rack/heads", rack.HeadsView.as_view()),
    path("rack/heads/<int:head_id>", rack.HeadView.as_view()),
    path("rack/shafts", rack.ShaftsView.as_view()),
    path("rack/shafts/<int:shaft_id>", rack.ShaftView.as_view()),
    path("rack/file", rack.RackFileView.as_view()),
    re_path(r"^rack/(?P<what>heads|shafts)\.csv$", rack.RackCsvView.as_view()),
    path("try-outs", try_out.TryOutsView.as_view()),
    path("try-outs/<int:customer_id>", try_out.TryOutView.as_view()),
    path("checks-due", handover.ChecksDueView.as_view()),
    path("bays-now", desk.BaysNowView.as_view()),
    path("sessions", session.SessionsView.as_view()),
    path("sessions/<int:session_id>", session.SessionView.as_view()),
    path("sessions/<int:session_id>/pad", pad.PadView.as_view()),
    path("sessions/<int:session_id>/pad/in-hand", pad.PadHandView.as_view()),
    path("shots/<int:shot_id>/pad", pad.PadShotView.as_view()),
    path("sessions/<int:session_id>/stream", live.stream),
    path("sessions/<int:session_id>/brief", brief.BriefView.as_view()),
    path("sessions/<int:session_id>/gap", bag.GapView.as_view()),
    path("sessions/<int:session_id>/targets", bag.TargetView.as_view()),
    path("sessions/<int:session_id>/clubs", bag.ClubsView.as_view()),
    path("sessions/<int:session_id>/averages", bag.AveragesView.as_view()),
    path("sessions/<int:session_id>/import/preview", imports.ImportPreviewView.as_view()),
    path("sessions/<int:session_id>/import", imports.ImportView.as_view()),
    path("sessions/<int:session_id>/candidates", bay.CandidatesView.as_view()),
    path("sessions/<int:session_id>/in-hand", bay.InHandView.as_view()),
    path("sessions/<int:session_id>/partner", session.PartnerView.as_view()),
    path("sessions/<int:session_id>/turn", session.TurnView.as_view()),
    path("sessions/<int:session_id>/rules", bag.RulesView.as_view()),
    path("sessions/<int:session_id>/shortlist", shortlist.ShortlistView.as_view()),
    path("sessions/<int:session_id>/sole", wedges.SoleView.as_view()),
    path("sessions/<int:session_id>/plans", plans.PlansView.as_view()),
    path("plans/<int:plan_id>", plans.PlanView.as_view()),
    path("imports/<int:import_id>", imports.ImportedView.as_view()),
    path("sessions/<int:session_id>/bench", bench.BenchView.as_view()),
    path("sessions/<int:session_id>/handover", handover.HandoverView.as_view()),
    path("sessions/<int:session_id>/handover/draft", handover.DraftView.as_view()),
    path("builds/<int:build_id>", bag.BuildView.as_view()),
    path("builds/<int:build_id>/stated", bag.StatedView.as_view()),
    path("builds/<int:build_id>/what-if", bench.WhatIfView.as_view()),
    path("builds/<int:build_id>/settings", bay.SettingsView.as_view()),
    path("builds/<int:build_id>/otherwise", bay.OtherwiseView.as_view()),
    path("sessions/<int:session_id>/borrowed", bay.BorrowedView.as_view()),
    path("sessions/<int:session_id>/level", bay.LevelView.as_view()),
    path("builds/<int:build_id>/accepted", bay.AcceptedView.as_view()),
    path("shots/<int:shot_id>/aside", bay.ShotAsideView.as_view()),
    path("shots/<int:shot_id>/strike", bay.ShotStrikeView.as_view()),
    path("shots/<int:shot_id>/counts", bay.ShotCountsView.as_view()),
    path("shots/<int:shot_id>/pinned", bay.ShotPinView.as_view()),
    path("sessions/<int:session_id>/task", bay.TaskView.as_view()),
    path("sessions/<int:session_id>/swing", bay.SwingView.as_view()),
    path("sessions/<int:session_id>/lie", bay.LieView.as_view()),
    path("sessions/<int:session_id>/awaited", session.AwaitedView.as_view()),
    path("sessions/<int:session_id>/run", bay.RunView.as_view()),
    path("sessions/<int:session_id>/day", bay.DayView.as_view()),
    path("sessions/<int:session_id>/ask", bay.AskView.as_view()),
    path("shots/<int:shot_id>/club", bay.ShotClubView.as_view()),
    path("sessions/<int:session_id>/shots", bay.ShotsView.as_view()),
    path("sessions/<int:session_id>/acts", bay.ActsView.as_view()),
    path("sessions/<int:session_id>/undo", bay.UndoView.as_view()),
    path("sessions/<int:session_id>/redo", bay.RedoView.as_view()),
    *trials.addresses(),
    path("sessions/<int:session_id>/trials/sole/choices", soles.SoleChoicesView.as_view()),
    path("sessions/<int:session_id>/trials/sole/check", soles.SoleCheckView.as_view()),
    path("trials/<int:trial_id>/hand-out", soles.HandOutCodeView.as_view()),
    path("hand-out/<str:code>", soles.HandOutPageView.as_view()),
    path("hand-out/<str:code>/stream", live.hand_out_stream),
    path("course/<str:code>", soles.CoursePageView.as_view()),
    path("sessions/<int:session_id>/player", player.ScreenView.as_view()),
    path("sessions/<int:session_id>/player/qr", player.CodeView.as_view()),
    path("sessions/<int:session_id>/felt", player.FeltView.as_view()),
    path("player/<str:code>", player.PlayerScreenView.as_view()),
    path("player/<str:code>/stream", live.player_stream),
    path("shots/<int:shot_id>/build", bay.ShotMoveView.as_view()),
    path("bays/<int:bay_id>/stand-in", live.StandInView.as_view()),
    path("bays/<int:bay_id>/tray", live.TrayView.as_view()),
    path("bays/<int:bay_id>/keys", live.KeysView.as_view()),
    path("keys/<int:key_id>", live.KeyView.as_view()),
    path("feed/tee", live.FeedTee.as_view()),
    path("feed/shots", live.FeedShots.as_view()),
]

urlpatterns = [
    path("api/", include(api)),
    re_path(r"^api/", page_not_found),
    re_path(r"^(health|healthz|ready|live|status|metrics)/?$", no_probe),
    re_path(r"^(?!static/).*$", front_end),
]

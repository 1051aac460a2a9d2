"""What is kept of anybody, column by column and word by word: of the person, a figure, or the shop's own.

Erasing a customer is driven by this list, and a test fails while a column or a word of what was agreed has no class.
Numbers of rows and links between them have none: they are how a figure is found.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from common.columns import in_columns
from django.db.models import Case, CharField, F, Q, Value, When
from django.db.models.functions import Cast, Concat
from hemicycle_core.facts import Brief, BriefJob, HitIn, RunAsked, Space, Visit
from hemicycle_core.facts.values import FIGURE, fields_of

ERASED = "Erased customer"
ERASED_WORDS = "Erased with the customer."


def _numbered(word: str, by: str) -> Concat:
    return Concat(Value(f"{word} "), Cast(F(by), CharField()))


@dataclass(frozen=True)
class ColumnsKept:
    """Columns of one table by class. personal: with what stands there when the person is erased; session: the way to
    the visit it belongs to, empty where it is the visit, None where it is of no visit."""

    personal: Mapping[str, Any] = field(default_factory=dict)
    figures: str = ""
    shops: str = ""
    session: str | None = "session"


def _made_of(*kinds: Any, personal: Mapping[str, Any] | None = None, figures: str = "", **more: Any) -> ColumnsKept:
    """A table of values: what of them is the person's they say themselves. personal: what stands there for those that
    say it is the row's own."""
    blank: dict[str, Any] = {}
    plain = [figures]
    for kind in kinds:
        said = {name: about.erased for name, about in fields_of(kind) if not about.link}
        blank |= in_columns(kind, {name: erased for name, erased in said.items() if erased is not FIGURE})
        plain += [name for name, erased in said.items() if erased is FIGURE]
    return ColumnsKept({**blank, **(personal or {})}, " ".join(plain), **more)


# Own clubs are named by hand; what came off the rack has the rack's name.
_CLUB = Case(When(Q(letter="") | Q(head=None), then=_numbered("Club", "id")), default=F("name"))

TABLES: dict[str, ColumnsKept] = {
    "customers.Customer": ColumnsKept(
        {"name": ERASED, "email": "", "notes": "", "birth_year": None},
        # The plain name is made of the name by the database, and goes with it.
        "uid hand units try_out created_at erased_at plain_name",
        session=None,
    ),
    "fitting.FittingSession": _made_of(
        Visit,
        Brief,
        Space,
        RunAsked,
        figures="held_on revision whole_from agreed_at briefed_at in_hand_at",
        shops="thresholds",
        session="",
    ),
    "fitting.Job": _made_of(BriefJob, personal={"name": _numbered("Job", "position")}, figures="position"),
    "fitting.BayHold": ColumnsKept(figures="since"),
    "fitting.BayServed": ColumnsKept(figures="at"),
    "fitting.TakenInHand": ColumnsKept(figures="at"),
    "fitting.AgreedAnswers": ColumnsKept(figures="at code"),  # and `WORDS`
    "fitting.JudgedAnswer": ColumnsKept({"answer": b"", "key": ""}, "part at unasked"),
    "fitting.Build": ColumnsKept(
        {
            "name": _CLUB,
            "own_shaft": "",
            "sole": "",
            "grip": "",
            "stamping": "",
            "known_from": "",
            "work": [],
            "taken": None,
        },
        "letter head_type stated_loft_deg set_loft_deg measured_loft_deg age_rounds wear length_m fixed typed_carry_m "
        "typed_total_m typed_doubt_m typed_spread_m "
        "known_flight price liking stock_swing lie_deg bounce_deg finish of_set kept_out on_order "
        "uses complaints made borrowed assumed out_of_favour archived coded accepted_at",
    ),
    "fitting.BagPlan": ColumnsKept({"name": _numbered("Plan", "id"), "swap_course": ""}),
    "fitting.HeadSeen": ColumnsKept(figures="departure ball_speed_mps won"),
    "fitting.PlayerScreen": ColumnsKept({"code": "", "expires_at": None}, "mode away shown revoked_at"),
    "fitting.Feel": ColumnsKept(
        {"word": ""}, "at shots looks sound feel trust tee veto numbers by_player", session="build__session"
    ),
    "fitting.ShotImport": ColumnsKept(
        {"file_name": "", "text": "", "data": None, "columns": {}, "problems": []}, "at undone_at"
    ),
    "fitting.ColumnMapping": ColumnsKept(shops="signature columns", session=None),
    "fitting.Run": _made_of(HitIn, figures="started_at", session="build__session"),
    "fitting.Shot": ColumnsKept(
        {"aside_reason": "", "check_club": ""},
        "number feed_id at hit_at revision aside typed misread void strike sources calm club_speed_mps ball_speed_mps "
        "launch_deg direction_deg spin_rpm axis_deg attack_deg path_deg face_deg dynamic_loft_deg carry_m total_m "
        "offline_m peak_m landing_deg hang_s",
    ),
    "fitting.Trial": ColumnsKept(
        {"hand_out": "", "hand_out_device": "", "course": "", "course_until": None},
        "test at version body revealed_at stopped_at hand_out_opened_at",
    ),
    "fitting.TrialEvent": ColumnsKept({"words": {}}, "at kind body void"),
    "fitting.TargetOverride": ColumnsKept(figures="slot quantity low high cleared at"),
    "fitting.WindowVersion": ColumnsKept(figures="at slots"),
    "handover.Recommendation": ColumnsKept(  # its picture by `WORDS`
        {"reasons": ERASED_WORDS, "correction": "", "lost": []}, "edition decision next_check agreed_at made_in"
    ),
    "practice.SimulatedGolfer": ColumnsKept(figures="parameters seed", session=None),
    "shop.AuditEntry": ColumnsKept(  # its detail by `TRAIL`
        figures="at action subject of_session of_customer revision change", session=None
    ),
    "shop.DoneChange": ColumnsKept(figures="change at", session=None),
    "shop.Shop": ColumnsKept(
        shops="name city demo currency ground thresholds columns revision idle_minutes keep_years", session=None
    ),
    "shop.User": ColumnsKept(
        shops="password last_login is_superuser username first_name last_name email is_staff is_active date_joined "
        "role keys units sign_ins_from",
        session=None,
    ),
    "shop.Bay": ColumnsKept(
        shops="name indoor surface altitude_m temperature_c models_flight shots_by noise closed_at", session=None
    ),
    "rack.Head": ColumnsKept(
        shops="maker model label head_type loft_deg lie_deg length_m sleeve_deg positions left_handed right_handed "
        "sole tip_in stock price bounce_deg head_g made retired_at",
        session=None,
    ),
    "rack.Shaft": ColumnsKept(
        shops="name flex weight_g material tip_in fits bend balance length_m stock retired_at", session=None
    ),
    "feed.FeedKey": ColumnsKept(
        shops="digest label stand_in made_at expires_at revoked_at last_used_at clock clock_odd", session=None
    ),
    "feed.StandIn": ColumnsKept(shops="pid started_at", session=None),
    "feed.TrayShot": ColumnsKept(figures="feed_id at readings hit_at why put_away_at", session=None),
}
# Documents that are blanked word by word, and the types they are written in.
DOCUMENTS = {
    ("fitting.AgreedAnswers", "answers"),
    ("handover.Recommendation", "picture"),
    ("shop.AuditEntry", "detail"),
}
# Tables of the framework: staff who sign in, and what it knows of the tables themselves.
FRAMEWORK = {"auth", "contenttypes", "sessions", "axes"}


@dataclass(frozen=True)
class Words:
    """Words of one part of an answer by class: those that are no figure and not the shop's are the person's."""

    personal: str = ""
    figures: str = ""
    shops: str = ""


WORDS: dict[str, Words] = {
    "SessionOut": Words(
        "bay_serves ball day_words awaited question questions next steady",
        "protocol length place usual_sources struck_clean",
        "fitter bay_name surface monitor columns",
    ),
    "Person": Words("name"),
    "PartnerOut": Words("customer"),
    "PlayerOut": Words("code"),
    "SoleTestOut": Words("unplayed warnings course", "confidence", "setter setter_name"),
    "SolePlace": Words("told", "key name"),
    "SoleCodeOut": Words("bad under", "word"),
    "SoleClubOut": Words("name sole shaft"),
    "SoleCellOut": Words(figures="place"),
    "HandingOut": Words("sound", "place"),
    "NextCode": Words(figures="place"),
    "SoleResultOut": Words("sentences deciding repeats measured at_odds belief blindness loft_needed"),
    "CourseNoteOut": Words("word ruled_out", "place"),
    "BriefOut": Words("lies notes sole maker_likes wish_leads", shops="makers"),
    "Course": Words("name"),
    "BriefJob": Words("name course", "lie"),
    "CommonJobOut": Words("name course", "lie called"),
    "Delivered": Words("sentence"),
    "LongestOut": Words("club"),
    "BuildOut": Words(
        "name shaft own_shaft known_from wanted sole grip stamping work cautions",
        "letter detail price turned_from out_of_favour stock_swing averages averages_all sources kept_for uses assumed",
    ),
    "Held": Words("job"),
    "PartSwing": Words(figures="swing"),
    "FeelOut": Words("word words", "marks"),
    "ShotOut": Words("aside_reason check_club", "protocol place apart readings sources"),
    "BagOut": Words("stand moved headline", "rule_words short_rule_words"),
    "GapInWork": Words("sentence"),
    "TargetOut": Words("why sure out_of_reach", "quantity"),
    "ShortEndOut": Words("minutes why sentence unhit open_under recheck"),
    "EndOut": Words("missing", "swing"),
    "StepOut": Words("sentence"),
    "Stage": Words("name words", "key"),
    "SchoolsOut": Words("sentence"),
    "PlaceOut": Words("caution sentence"),
    "StandingOut": Words("columns none remarks warning", "test"),
    "TaskOut": Words(figures="length"),
    "CardOut": Words("open shared eases run", "swings"),
    "CardRowOut": Words("sentence", "stock"),
    "CellOut": Words(figures="swing why_not"),
    "BlindPairOut": Words("", "confidence", "setter setter_name"),
    "CodeOut": Words(figures="word"),
    "RemarkOut": Words("sentence", "what"),
    "ImportedFile": Words("file_name"),
    "VerdictOut": Words("headline why against change at_first", "letter shape chance_words"),
    "FactOut": Words(figures="quantity"),
    "PlayedOut": Words("job", "lie"),
    "BenchOut": Words("serves spans lies eases"),
    "BoardLine": Words("name", "letter"),
    "ComparisonOut": Words("sentence", "better worse"),
    "ChoiceOut": Words("leaves sentence more_with", "letter letters because runner_up"),
    "BuildWorth": Words(figures="letter"),
    "WorthLine": Words(figures="line"),
    "FindingOut": Words("sentence", "letter protocol by swing at"),
    "NeighboursOut": Words("sentence"),
    "WedgeFlightOut": Words("sentence source", "means where"),
    "Window": Words(figures="quantity"),
    "Cause": Words("why test", "what"),
    "ClaimOut": Words("club sentence"),
    "ResultOut": Words("title sentence remarks", "test"),
    "ResultRow": Words("name", "figures"),
    "ResultColumn": Words("name", "key reading"),
    "ShortlistOut": Words("why left_out"),
    "RankedOut": Words("sentence rough", "letter", "name label maker price"),
    "PlansOut": Words("courses"),
    "BagPlanOut": Words("name swap_course crowded relearn added dropped expected sentence next", "price"),
    "ClubLine": Words("name", "letter"),
    "BagJobOut": Words("job club"),
    "WhatIfOut": Words("anchor", "letter before"),
    "ChangeOut": Words("", "label words after error directions source caution"),
    "AirOut": Words(figures="label"),
    "ChosenOut": Words("name dropped reasons", "price"),
    "Tested": Words("name headline why prediction", "letter price"),
    "SheetLine": Words("value", "label"),
    "LostBuild": Words("name why", "letter"),
    "BagSide": Words("headline"),
    "SwapOut": Words("home away course"),
    "SetOut": Words("first remarks", "letter"),
    "SetClubOut": Words("", "name number", "model"),
}
# What else of an answer is no word and yet the person's.
ALSO = {("BriefOut", "pain"): False, ("SessionOut", "imports"): []}
# What stands where something has to be called something.
NAMES = {
    ("Person", "name"): ERASED,
    ("ChosenOut", "reasons"): ERASED_WORDS,
    ("ChosenOut", "name"): "A choice",
    **dict.fromkeys([("JobFields", "name"), ("PlayedOut", "job"), ("BagJobOut", "job"), ("Held", "job")], "a job"),
    **dict.fromkeys(
        [(part, "name") for part in ("BuildOut", "ClubLine", "Tested", "LostBuild", "BoardLine")]
        + [("BagJobOut", "club"), ("LongestOut", "club"), ("ClaimOut", "club")],
        "a club",
    ),
    ("BagPlanOut", "name"): "A plan",
}

# Of an entry of the trail: what stays is numbers, letters and codes of ours.
TRAIL = Words(
    "rows name before after why plan file reason",
    "number letter letters edition of did id code shots fields slot quantity low high clubs rule mode away loft aside "
    "target_m kind intent turned_from made_from build builds partner other lie ids swing",
    "closed label days columns models_flight noise idle years role active bays",
)

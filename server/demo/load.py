"""Loading the made-up shop through the same actions that the API uses."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import timedelta
from decimal import Decimal
from random import Random
from typing import Any

import numpy as np
from common.policy import Role
from customers.actions import add_customer
from customers.models import Customer
from django.utils import timezone
from fitting.actions import builds, sessions, shots, sole_setup, soles, stops, targets
from fitting.actions.brief import write_brief
from fitting.actions.hand_out import note_of_course
from fitting.actions.sole_setup import ClubOfTest, SetUp
from fitting.domain.session import load
from fitting.models import Build, FittingSession
from handover.actions import agree
from handover.chosen import choice_of, suggestion
from handover.schemas import AgreeIn, LostIn
from hemicycle_core.bag import BagEnd, GapRule, HeadType
from hemicycle_core.brief import FlightWish, JobKind, Miss, Wish
from hemicycle_core.facts import BriefJob, Course
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.formats.club_names import short_name
from hemicycle_core.impact import Lie
from hemicycle_core.protocols.sole.ask import AfterShots
from hemicycle_core.protocols.sole.kept import Control, TurfSaid
from hemicycle_core.rack.stock import Made
from hemicycle_core.runs import COMFORTABLE, FULL, Ball
from hemicycle_core.shots import Intent, Strike
from hemicycle_core.simulation.golfer import Ground, Player, Swinging
from hemicycle_core.units import METRES_PER_INCH, metres
from hemicycle_core.wedges import WedgeWish
from rack.models import Head, Shaft
from shop.models import Bay, Shop, User

from .data import (
    BAYS,
    CUSTOMERS,
    HEADS,
    IRONS,
    SHAFTS,
    SHOP,
    SLEEVE,
    WEDGES,
    DemoCustomer,
    DemoRun,
    DemoSole,
    DemoStop,
    DemoVisit,
)
from .golfers import club_of
from .models import SimulatedGolfer

BASELINE_SHOTS = 5


def load_demo(password: str) -> Shop:
    """Make the shop, its people, bays, rack, customers and their visits."""
    shop = Shop.objects.create(name=SHOP[0], city=SHOP[1], demo=True)
    fitter = _person(shop, "fitter", "Rowan Ashby", Role.FITTER, password)
    _person(shop, "owner", "Petra Lind", Role.OWNER, password)
    for name, indoor, surface in BAYS:
        temperature = 20 if indoor else 14
        Bay.objects.create(
            shop=shop, name=name, indoor=indoor, surface=surface, temperature_c=temperature, models_flight=indoor
        )
    load_rack(shop)
    for customer in CUSTOMERS:
        _customer(shop, fitter, customer)
    # Agreed visits have let their bays go; whoever is in the middle has it back, of several the first customer.
    for session in FittingSession.objects.of(shop).filter(agreed_at=None, in_hand__isnull=False).order_by("-pk"):
        builds.take_in_hand(fitter, session.pk, build_id=session.in_hand_id or 0)
    return shop


def _person(shop: Shop, username: str, name: str, role: Role, password: str) -> User:
    first, last = name.split()
    taken = User.objects.filter(username=username).exists()
    user = User(
        username=f"demo-{username}" if taken else username, first_name=first, last_name=last, shop=shop, role=role
    )
    if password:
        user.set_password(password)
    else:
        user.set_unusable_password()
    user.save()
    return user


def load_rack(shop: Shop) -> None:
    for maker, model, label, kind, loft, lie, inches, sleeve, left, sole, tip, stock, price in HEADS:
        Head.objects.create(
            shop=shop,
            maker=maker,
            model=model,
            label=label,
            head_type=kind,
            loft_deg=loft,
            lie_deg=lie,
            length_m=inches * METRES_PER_INCH,
            sleeve_deg=sleeve,
            left_handed=left,
            sole=sole,
            tip_in=tip,
            stock=stock,
            price=Decimal(price),
            positions=[
                {"name": name, "loft_deg": loft, "lie_deg": lie, "face_deg": face}
                for name, loft, lie, face in SLEEVE.get(label, ())
            ],
        )
    maker, model, irons = IRONS
    for label, loft, lie, inches, bounce in irons:
        Head.objects.create(
            shop=shop,
            maker=maker,
            model=model,
            label=label,
            head_type=HeadType.WEDGE if label.endswith("W") else HeadType.IRON,
            loft_deg=loft,
            lie_deg=lie,
            length_m=inches * METRES_PER_INCH,
            bounce_deg=bounce,
            made=Made.CAST,
            price=Decimal(129),
        )
    for maker, model, label, loft, lie, inches, sole, bounce, grams in WEDGES:
        Head.objects.create(
            shop=shop,
            maker=maker,
            model=model,
            label=label,
            head_type=HeadType.WEDGE,
            loft_deg=loft,
            lie_deg=lie,
            length_m=inches * METRES_PER_INCH,
            sleeve_deg=0,
            left_handed=label in ("50", "54 M", "58 M"),
            sole=sole,
            tip_in=0.37,
            stock=1,
            price=Decimal(179),
            bounce_deg=bounce,
            head_g=grams,
            made=Made.FORGED,
        )
    for name, flex, weight, material, tip, fits in SHAFTS:
        Shaft.objects.create(shop=shop, name=name, flex=flex, weight_g=weight, material=material, tip_in=tip, fits=fits)


def _customer(shop: Shop, fitter: User, demo: DemoCustomer) -> None:
    customer = add_customer(fitter, name=demo.name, hand=demo.hand, birth_year=demo.birth_year)
    golfer = Player.from_dict(demo.golfer)
    SimulatedGolfer.objects.create(shop=shop, customer=customer, parameters=golfer.to_dict(), seed=demo.seed)
    for number, visit in enumerate(demo.visits):
        _visit(shop, fitter, customer, demo, visit, Swinging(golfer, seed=demo.seed * 100 + number))


def _visit(
    shop: Shop, fitter: User, customer: Customer, demo: DemoCustomer, visit: DemoVisit, swinging: Swinging
) -> None:
    held_on = timezone.localdate() - timedelta(days=visit.days_ago)
    bay = Bay.objects.of(shop).get(name=visit.bay)
    session = sessions.open_session(fitter, customer_id=customer.pk, bay_id=bay.pk, held_on=held_on)
    swinging.air = Air(altitude_m=session.visit.altitude_m, temperature_c=session.visit.temperature_c)
    for name in demo.clubs:
        if not Build.objects.of(shop).filter(session=session, letter="", name=name).exists():
            builds.add_club(fitter, session.pk, name=name, fixed=name in demo.fixed or None)
    if visit.jobs:
        write_brief(fitter, session.pk, _brief(visit))
    _state_wedges(fitter, session, visit)
    session.refresh_from_db()
    if visit.baseline:
        for build in Build.objects.of(shop).filter(session=session, letter="").exclude(head_type=HeadType.PUTTER):
            hit(session, build, swinging, BASELINE_SHOTS)
        _set_misses_aside(fitter, session)
    for run in visit.runs:
        _hit_run(session, swinging, run)
    leads, held, flight = visit.wish
    if leads == Wish.GAP and visit.places > 1:
        targets.choose_gap(fitter, session.pk, rule=GapRule.ROLL_OUT, clubs_to_place=visit.places, gap_above_id=None)
    if leads != Wish.GAP:
        targets.choose_gap(
            fitter,
            session.pk,
            rule=GapRule.ROLL_OUT,
            clubs_to_place=1,
            gap_above_id=None,
            wish=Wish(leads),
            like_for_id=Build.objects.of(shop).get(session=session, letter="", name=held).pk,
            flight=FlightWish(flight) if flight else None,
        )
    for label, model, shaft, count in visit.tried:
        head, fitted = Head.objects.of(shop).get(label=label, model=model), Shaft.objects.of(shop).get(name=shaft)
        (build,) = builds.add_candidates(fitter, session.pk, [builds.CandidateChoice(head.pk, fitted.pk)])
        builds.take_in_hand(fitter, session.pk, build_id=build.pk)
        hit(session, build, swinging, count)
    for label, loft, count in visit.turned:
        build = Build.objects.of(shop).filter(session=session, head__label=label).exclude(letter="").latest("pk")
        hit(session, builds.new_setting(fitter, build.pk, set_loft_deg=loft), swinging, count)
    _tests(fitter, session, swinging, visit)
    _set_misses_aside(fitter, session)
    if visit.agree:
        _agree(fitter, session, visit)


def _state_wedges(fitter: User, session: FittingSession, visit: DemoVisit) -> None:
    for wedge in visit.wedges:
        build = Build.objects.of(session.shop_id).get(session=session, letter="", name=short_name(wedge.name))
        stated: dict[str, Any] = {
            "set_loft_deg": wedge.loft,
            "stated_loft_deg": wedge.loft,
            "bounce_deg": wedge.bounce,
            "sole": wedge.sole,
            "finish": wedge.finish,
            "age_rounds": wedge.rounds,
            "wear": wedge.wear,
            "uses": wedge.uses,
            "complaints": list(wedge.bothers),
        }
        if wedge.name == visit.comfortable:
            stated["stock_swing"] = COMFORTABLE
        builds.state_club(fitter, build.pk, stated)


def _hit_run(session: FittingSession, swinging: Swinging, run: DemoRun) -> None:
    """Shots beside the stock swing, filed as they were asked for."""
    build = _own_or_tried(session, run.club, run.letter)
    said: dict[str, Any] = {"length": run.length, "lie": run.lie, "protocol": run.protocol}
    swinging.ground = Ground(Lie(run.lie)) if run.lie else Ground()
    meant: Intent = Intent.STOCK
    swing: str | float = run.length
    if run.eased:
        meant = Intent.EASED
        said |= {"intent": meant.value, "protocol": "effort"}
    if run.asked is not None:
        club = club_of(build)
        assert club is not None
        full = float(np.mean([shot["carry_m"] for shot in Swinging(swinging.player, 1).shots(club, 20, known=True)]))
        swing = min((metres(run.asked) / full) ** (1 / 1.6), 1.0)
        said |= {"intent": Intent.YARDAGE.value, "protocol": "yardage", "asked_carry_m": metres(run.asked)}
    hit(session, build, swinging, run.shots, meant=meant, swing=swing, **said)


def _own_or_tried(session: FittingSession, name: str, letter: str) -> Build:
    """A build of the stand by its letter, else the player's own by its name."""
    mine = {} if letter else {"name": short_name(name)}
    return Build.objects.of(session.shop_id).get(session=session, letter=letter, **mine)


def _tests(fitter: User, session: FittingSession, swinging: Swinging, visit: DemoVisit) -> None:
    """Short shots, after the stand was hit."""
    for run in visit.tests:
        _hit_run(session, swinging, run)
    for seen in visit.stops:
        _see(fitter, session, seen)
    for sole in visit.soles:
        _sole(fitter, session, sole)


def _sole(fitter: User, session: FittingSession, demo: DemoSole) -> None:
    """A blind test as the player answered it, revealed, without a monitor; what was in hand is so again."""
    session.refresh_from_db()
    held, labels = session.in_hand_id, list(demo.liked)
    heads = [Head.objects.of(session.shop_id).get(label=label) for label in labels]
    wedge = _own_or_tried(session, demo.wedge, "")
    shaft = Shaft.objects.of(session.shop_id).get(name="Wexmoor 110 W")
    loft = wedge.known.loft_deg or 54
    wanted = SetUp(
        loft, [ClubOfTest(head=head.pk) for head in heads], shaft.pk, demo.places, 0, Control.NEAREST,
        None, short=False, double=False, wedge=wedge.pk,
    )  # fmt: skip
    test = sole_setup.set_up(fitter, session.pk, wanted, chance=Random(54))
    label = {code.number: code.head.label for code in soles.sole_of(test).codes if code.head}
    while (coming := (found := soles.sole_of(test)).standing.next) is not None:
        handed = found.handed
        together = handed and handed[-1].stage == (coming.place, coming.visit, coming.duel)
        apart = demo.liked[label[coming.code]] - demo.liked[label[handed[-1].code]] if together else None
        dug = (label[coming.code], coming.place) in demo.digs
        sand = coming.place == "sand"
        turf = (TurfSaid.DEEP if dug else TurfSaid.EVEN) if sand else (TurfSaid.DUG if dug else TurfSaid.SLID)
        soles.say_of(
            fitter, test.pk, code=coming.code, place=coming.place, visit=coming.visit, duel=coming.duel,
            said=AfterShots(said=apart, turf=turf),
        )  # fmt: skip
    best = max(label, key=lambda code: demo.liked[label[code]])
    soles.guess(fitter, test.pk, code=best, confidence="guess")
    soles.reveal(fitter, test.pk, early=False)
    for days, place, word in demo.course:
        day = timezone.localdate() + timedelta(days=days)
        note_of_course(fitter, test.pk, played_on=day, code=best, place=place, word=word, first=True)
    if held is not None:
        builds.take_in_hand(fitter, session.pk, build_id=held)


def _see(fitter: User, session: FittingSession, seen: DemoStop) -> None:
    build = _own_or_tried(session, seen.club, seen.letter)
    for lands, ends in seen.balls:
        stops.see(
            fitter, session.pk, build_id=build.pk, ball=Ball.OWN, landed_m=metres(lands), stopped_m=metres(ends),
            landed_side_m=0.0, stopped_side_m=0.0, balls=seen.paced,
        )  # fmt: skip


def _brief(visit: DemoVisit) -> dict[str, Any]:
    jobs = [
        BriefJob(
            name=job.name,
            kind=JobKind(job.kind),
            distance_m=metres(job.yards),
            carry_over_m=None if job.over is None else metres(job.over),
            width_m=metres(job.width),
            depth_m=metres(job.depth),
            firmness=Firmness(job.firmness),
            uses_per_round=job.uses,
            lie=job.lie,
            course=job.course,
        )
        for job in visit.jobs
    ]
    trip = [
        Course("Home", "home", Firmness.MEDIUM, 80),
        Course(visit.trip, "trip", Firmness.FIRM, 20),
    ]
    return {
        "miss": Miss(visit.miss),
        "firmness": Firmness(visit.firmness),
        "jobs": jobs,
        "notes": visit.notes,
        "end": BagEnd(visit.end),
        "delivery": visit.called,
        "wedge_wishes": [WedgeWish(each) for each in visit.wishes],
        "sole": visit.sole,
        "most_clubs": visit.most,
        "courses": trip if visit.trip else [],
    }


def hit(
    session: FittingSession,
    build: Build,
    swinging: Swinging,
    count: int,
    *,
    meant: Intent = Intent.STOCK,
    swing: str | float = FULL,
    **said: Any,
) -> None:
    """swing: as it is hit; said: of the run, by its column. A club whose stock swing is another is hit with that."""
    club = club_of(build)
    assert club is not None
    if swing == FULL and build.stock_swing != FULL and meant is Intent.STOCK:
        swing, said = build.stock_swing, {"length": build.stock_swing, **said}
    swung: list[dict[str, Any]] = swinging.shots(club, count, known=build.is_own, meant=meant, length=swing)
    strikes = [Strike(shot["strike"]) if shot["strike"] else None for shot in swung]
    readings: list[Mapping[str, float]] = [{key: shot[key] for key in shot if key != "strike"} for shot in swung]
    shots.take_in(session, shots.run_for(session, build, **said), readings, strikes=strikes)


def _set_misses_aside(fitter: User, session: FittingSession) -> None:
    """What the fitter does by ear: the shots called thin, fat, toe or heel do not count."""
    for shot in session.shots.exclude(strike="").filter(aside=False):
        shots.set_aside(fitter, shot.pk, aside=True, reason=shot.strike)


def _agree(fitter: User, session: FittingSession, visit: DemoVisit) -> None:
    judged = load(FittingSession.objects.get(pk=session.pk))
    wanted, leave, _ = suggestion(judged)
    choice = choice_of(judged, wanted, leave)
    lost = [LostIn(each.letter, each.name, str(each.why)) for each in choice.lost]
    check = session.held_on + timedelta(days=visit.check_after_days)
    agree(
        fitter,
        session.pk,
        AgreeIn(wanted, visit.reasons or str(choice.reasons), lost, leave, next_check=check),
    )

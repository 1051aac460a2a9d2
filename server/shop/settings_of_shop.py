"""What an owner sets for the shop: where verdicts begin and end, and what each bay's monitor measures."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import asdict

from django.db.models import F
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.monitor import MonitorKind, Noise, noise_from_shown
from hemicycle_core.readout import check_columns
from hemicycle_core.said import high, say, warmth
from hemicycle_core.thresholds import changed, settings_of

from .audit import action, record
from .models import Bay, Shop, ShotsBy, User

USUAL = {setting.key: setting.usual for setting in settings_of()}


@action("own")
def set_thresholds(actor: User, values: Mapping[str, float]) -> Shop:
    """Change some thresholds; one set to its usual value is the usual one again. Agreed sessions keep theirs."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    wanted = {**shop.thresholds, **values}
    changed(wanted)
    before = shop.thresholds
    shop.thresholds = {key: value for key, value in wanted.items() if value != USUAL[key]}
    shop.revision += 1
    shop.save(update_fields=["thresholds", "revision"])
    record(shop.pk, actor, "shop.thresholds", f"shop:{shop.pk}", before=before, after=shop.thresholds)
    return shop


MOST_SHOP, MOST_BAY, MOST_BAYS = 80, 40, 24
CURRENCY = re.compile(r"[A-Z]{3}")  # by ISO 4217


def called(text: str, what: str, most: int, *, field: str = "name") -> str:
    """A name as it is kept; BadInput for one that is empty or too long."""
    name = " ".join(text.split())
    if not name:
        raise BadInput(say("act-give-name", what=what), field=field)
    if len(name) > most:
        raise BadInput(say("act-name-has-characters-most", what=what, most=most), field=field)
    return name


def check_currency(text: str) -> str:
    currency = text.strip().upper()
    if not CURRENCY.fullmatch(currency):
        raise BadInput(say("act-currency-three-letters-such"), field="currency")
    return currency


@action("own")
def name_shop(
    actor: User, *, name: str, city: str, currency: str | None = None, ground: Firmness | None = None
) -> Shop:
    """How the shop is called on the screen and on customers' papers, the money of its prices, and what its customers
    mostly play on; None stays. Agreed sessions keep what they were given."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    kept = ("name", "city", "currency", "ground")
    before = {key: getattr(shop, key) for key in kept}
    shop.name, shop.city = called(name, "shop", MOST_SHOP), " ".join(city.split())[:MOST_SHOP]
    shop.currency = shop.currency if currency is None else check_currency(currency)
    shop.ground = shop.ground if ground is None else ground.value
    shop.revision += 1
    shop.save(update_fields=[*kept, "revision"])
    after = {key: getattr(shop, key) for key in kept}
    record(shop.pk, actor, "shop.name", f"shop:{shop.pk}", before=before, after=after)
    return shop


def _free(actor: User, name: str, bay_id: int = 0) -> str:
    wanted = called(name, "bay", MOST_BAY)
    if Bay.objects.of(actor.shop_id or 0).filter(name__iexact=wanted).exclude(pk=bay_id).exists():
        raise BadInput(say("act-there-already-call-otherwise", wanted=wanted), field="name")
    return wanted


@action("own")
def add_bay(actor: User, *, name: str, indoor: bool) -> Bay:
    """One more place to hit from."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    if Bay.objects.of(shop).filter(closed_at=None).count() >= MOST_BAYS:
        raise BadInput(say("act-shop-has-open-bays-2", most_bays=MOST_BAYS), field="name")
    bay = Bay.objects.create(shop=shop, name=_free(actor, name), **Bay.place(indoor))
    record(shop.pk, actor, "bay.add", f"bay:{bay.pk}")
    return bay


@action("own")
def change_bay(
    actor: User, bay_id: int, *, name: str | None = None, closed: bool | None = None, shots_by: ShotsBy | None = None
) -> Bay:
    """Call a bay otherwise, close it or open it again, say how its shots come in; None stays. The last open one stays
    open."""
    Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    bay = Bay.objects.select_for_update().one(actor.shop_id or 0, bay_id)
    if name is not None:
        bay.name = _free(actor, name, bay.pk)
    if closed is not None:
        others = Bay.objects.of(bay.shop_id).filter(closed_at=None).exclude(pk=bay.pk)
        if closed and not others.exists():
            raise BadInput(say("act-last-open-bay-add"), field="closed")
        bay.closed_at = (bay.closed_at or timezone.now()) if closed else None
    bay.shots_by = bay.shots_by if shots_by is None else shots_by
    bay.save(update_fields=["name", "closed_at", "shots_by"])
    Shop.objects.filter(pk=bay.shop_id).update(revision=F("revision") + 1)
    record(bay.shop_id, actor, "bay.change", f"bay:{bay.pk}", closed=bay.closed_at is not None)
    return bay


@action("own")
def set_bay(
    actor: User,
    bay_id: int,
    *,
    models_flight: bool,
    altitude_m: float,
    temperature_c: float,
    noise: Mapping[str, Noise] | None = None,
) -> Bay:
    """What a bay's monitor measures and the air in it, for the sessions opened from now on; shots on record keep
    the source they came with. noise: of some readings, what it reads wrong in the units shown; it enters every
    session of the bay that is open."""
    bay = Bay.objects.select_for_update().one(actor.shop_id or 0, bay_id)
    if not -100 <= altitude_m <= 4000:
        raise BadInput(say("act-altitude-between", low=high(-100, -1), high=high(4000, -1)), field="altitude_m")
    if not -20 <= temperature_c <= 50:
        raise BadInput(say("act-temperature-between", low=warmth(-20), high=warmth(50)), field="temperature_c")
    bay.models_flight, bay.altitude_m, bay.temperature_c = models_flight, altitude_m, temperature_c
    kind = MonitorKind.IMPACT if models_flight else MonitorKind.FLIGHT
    if noise is not None:
        stays = {key: each for key, each in bay.noise.items() if key not in noise}
        bay.noise = stays | {key: asdict(each) for key, each in noise_from_shown(kind, noise).items()}
    bay.save(update_fields=["models_flight", "altitude_m", "temperature_c", "noise"])
    Shop.objects.filter(pk=bay.shop_id).update(revision=F("revision") + 1)
    record(bay.shop_id, actor, "bay.set", f"bay:{bay.pk}", models_flight=models_flight, noise=bay.noise)
    return bay


@action("fit")
def set_columns(actor: User, columns: Sequence[str]) -> Shop:
    """What the Bench reads out of each club and in which order, for the whole shop."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    shop.columns = check_columns(columns)
    shop.revision += 1
    shop.save(update_fields=["columns", "revision"])
    record(shop.pk, actor, "shop.columns", f"shop:{shop.pk}", columns=shop.columns)
    return shop

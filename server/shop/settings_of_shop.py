"""What an owner sets for the shop: where verdicts begin and end, and what each bay's monitor measures."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict

from django.db.models import F
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.monitor import MonitorKind, Noise, noise_from_shown
from hemicycle_core.readout import check_columns
from hemicycle_core.thresholds import changed, settings_of

from .audit import action, record
from .models import Bay, Shop, User

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


def _called(text: str, what: str, most: int) -> str:
    name = " ".join(text.split())
    if not name:
        raise BadInput(f"Give the {what} a name.", field="name")
    if len(name) > most:
        raise BadInput(f"The name of a {what} has {most} characters at most.", field="name")
    return name


@action("own")
def name_shop(actor: User, *, name: str, city: str) -> Shop:
    """How the shop is called on the screen and on customers' papers. Agreed sessions keep what they were given."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    before = {"name": shop.name, "city": shop.city}
    shop.name, shop.city = _called(name, "shop", MOST_SHOP), " ".join(city.split())[:MOST_SHOP]
    shop.revision += 1
    shop.save(update_fields=["name", "city", "revision"])
    record(shop.pk, actor, "shop.name", f"shop:{shop.pk}", before=before, after={"name": shop.name, "city": shop.city})
    return shop


def _free(actor: User, name: str, bay_id: int = 0) -> str:
    called = _called(name, "bay", MOST_BAY)
    if Bay.objects.of(actor.shop_id or 0).filter(name__iexact=called).exclude(pk=bay_id).exists():
        raise BadInput(f"There is a {called} already. Call it otherwise.", field="name")
    return called


@action("own")
def add_bay(actor: User, *, name: str, indoor: bool) -> Bay:
    """One more place to hit from: a mat indoors, grass outdoors, until it is said otherwise."""
    shop = Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    if Bay.objects.of(shop).filter(closed_at=None).count() >= MOST_BAYS:
        raise BadInput(f"A shop has {MOST_BAYS} open bays at most.", field="name")
    bay = Bay.objects.create(
        shop=shop, name=_free(actor, name), indoor=indoor, surface="mat" if indoor else "grass tee",
        temperature_c=20 if indoor else 15,
    )  # fmt: skip
    record(shop.pk, actor, "bay.add", f"bay:{bay.pk}")
    return bay


@action("own")
def change_bay(actor: User, bay_id: int, *, name: str | None = None, closed: bool | None = None) -> Bay:
    """Call a bay otherwise, close it or open it again. The last open one stays open."""
    Shop.objects.select_for_update().get(pk=actor.shop_id or 0)
    bay = Bay.objects.select_for_update().one(actor.shop_id or 0, bay_id)
    if name is not None:
        bay.name = _free(actor, name, bay.pk)
    if closed is not None:
        others = Bay.objects.of(bay.shop_id).filter(closed_at=None).exclude(pk=bay.pk)
        if closed and not others.exists():
            raise BadInput("This is the last open bay. Add another one first.", field="closed")
        bay.closed_at = (bay.closed_at or timezone.now()) if closed else None
    bay.save(update_fields=["name", "closed_at"])
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
        raise BadInput("An altitude between −100 and 4 000 m is needed.", field="altitude_m")
    if not -20 <= temperature_c <= 50:
        raise BadInput("A temperature between −20 and 50 °C is needed.", field="temperature_c")
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

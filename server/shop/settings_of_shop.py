"""What an owner sets for the shop: where verdicts begin and end, and what each bay's monitor measures."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict

from django.db.models import F
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

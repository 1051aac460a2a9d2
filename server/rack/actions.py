"""Keeping the rack: heads and shafts added, changed, taken off it, brought in and written out."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import asdict, dataclass
from decimal import Decimal
from typing import Any

from django.db.models import F
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.rack_csv import ReadRack, read_heads, read_shafts
from hemicycle_core.heads import HeadType
from hemicycle_core.rack.generic import USUAL, generic_heads, generic_shafts
from hemicycle_core.rack.stock import HeadSpec, MadeForHand, ShaftSpec, check_head, check_shaft_spec
from hemicycle_core.said import Form, number, say
from hemicycle_core.units import METRES_PER_INCH
from shop.audit import action, record
from shop.models import Shop, User

from .models import Head, Shaft

MOST_TEXT = 2_000_000


def head_columns(spec: HeadSpec) -> dict[str, Any]:
    """A head as it is kept."""
    return {
        "maker": spec.maker.strip(),
        "model": spec.model.strip(),
        "label": spec.label.strip(),
        "head_type": spec.head_type.value,
        "loft_deg": spec.loft_deg,
        "lie_deg": spec.lie_deg,
        "length_m": spec.length_in * METRES_PER_INCH,
        "sleeve_deg": spec.sleeve_deg,
        "positions": [asdict(each) for each in spec.positions],
        "left_handed": spec.hand is not MadeForHand.RIGHT,
        "right_handed": spec.hand is not MadeForHand.LEFT,
        "sole": spec.sole.strip(),
        "tip_in": spec.tip_in,
        "stock": spec.stock,
        "price": Decimal(str(round(spec.price, 2))),
        "bounce_deg": spec.bounce_deg,
        "head_g": spec.head_g,
        "made": spec.made.value,
    }


def shaft_columns(spec: ShaftSpec) -> dict[str, Any]:
    """A shaft as it is kept."""
    return {
        "name": spec.name.strip(),
        "flex": spec.flex.strip(),
        "weight_g": spec.weight_g,
        "material": spec.material.strip(),
        "tip_in": spec.tip_in,
        "fits": [each.value for each in spec.fits],
        "bend": spec.bend.value,
        "balance": spec.balance,
        "length_m": None if spec.length_in is None else spec.length_in * METRES_PER_INCH,
        "stock": spec.stock,
    }


def _shop_of(actor: User) -> int:
    """The actor's shop, locked for this transaction: two who keep its rack at once never write the same thing twice."""
    return Shop.objects.select_for_update().get(pk=actor.shop_id or 0).pk


def _changed(actor: User, act: str, subject: str, /, **detail: Any) -> None:
    """What every session rests on has changed."""
    shop = actor.shop_id or 0
    Shop.objects.filter(pk=shop).update(revision=F("revision") + 1)
    record(shop, actor, act, subject, **detail)


def _same_head(shop: int, spec: HeadSpec) -> Head | None:
    """The head on the rack that a description is of: by maker, model, what stands on the sole, and loft."""
    there = Head.objects.of(shop).filter(retired_at=None, maker=spec.maker.strip(), model=spec.model.strip())
    return there.filter(label=spec.label.strip(), loft_deg=spec.loft_deg).first()


def _same_shaft(shop: int, spec: ShaftSpec) -> Shaft | None:
    return Shaft.objects.of(shop).filter(retired_at=None, name=spec.name.strip()).first()


@action("own")
def add_head(actor: User, spec: HeadSpec) -> Head:
    check_head(spec)
    shop = _shop_of(actor)
    if _same_head(shop, spec) is not None:
        named = " ".join(f"{spec.maker} {spec.model} {spec.label}".split())
        words = say("act-rack-change-one", named=named, loft=number(spec.loft_deg, form=Form.SHORT))
        raise BadInput(words, field="label")
    head = Head.objects.create(shop_id=shop, **head_columns(spec))
    _changed(actor, "rack.head", f"head:{head.pk}", label=head.label)
    return head


@action("own")
def change_head(actor: User, head_id: int, spec: HeadSpec) -> Head:
    """Change a head. Builds made of it keep their loft, length and price as they were hit."""
    check_head(spec)
    head = Head.objects.one(_shop_of(actor), head_id)
    other = _same_head(head.shop_id, spec)
    if other is not None and other.pk != head.pk:
        raise BadInput(say("act-another-head-maker-model"), field="label")
    before = head.spec
    for name, value in head_columns(spec).items():
        setattr(head, name, value)
    head.save()
    _changed(actor, "rack.head", f"head:{head.pk}", before=_differs(before, spec))
    return head


def _differs(before: HeadSpec | ShaftSpec, after: HeadSpec | ShaftSpec) -> dict[str, str]:
    return {name: str(value) for name, value in vars(before).items() if value != getattr(after, name)}


@action("own")
def retire_head(actor: User, head_id: int, *, retired: bool) -> Head:
    """Take a head off the rack, or put it back; nothing made of it changes."""
    head = Head.objects.one(_shop_of(actor), head_id)
    if not retired and _same_head(head.shop_id, head.spec) not in (None, head):
        raise BadInput(say("act-another-head-maker-model-2"), field="label")
    head.retired_at = timezone.now() if retired else None
    head.save(update_fields=["retired_at"])
    _changed(actor, "rack.off" if retired else "rack.on", f"head:{head.pk}", label=head.label)
    return head


@action("own")
def add_shaft(actor: User, spec: ShaftSpec) -> Shaft:
    check_shaft_spec(spec)
    shop = _shop_of(actor)
    if _same_shaft(shop, spec) is not None:
        raise BadInput(say("act-rack-change-one-2", name=spec.name), field="name")
    shaft = Shaft.objects.create(shop_id=shop, **shaft_columns(spec))
    _changed(actor, "rack.shaft", f"shaft:{shaft.pk}", name=shaft.name)
    return shaft


@action("own")
def change_shaft(actor: User, shaft_id: int, spec: ShaftSpec) -> Shaft:
    check_shaft_spec(spec)
    shaft = Shaft.objects.one(_shop_of(actor), shaft_id)
    other = _same_shaft(shaft.shop_id, spec)
    if other is not None and other.pk != shaft.pk:
        raise BadInput(say("act-another-shaft-name-rack"), field="name")
    before = shaft.spec
    for name, value in shaft_columns(spec).items():
        setattr(shaft, name, value)
    shaft.save()
    _changed(actor, "rack.shaft", f"shaft:{shaft.pk}", before=_differs(before, spec))
    return shaft


@action("own")
def retire_shaft(actor: User, shaft_id: int, *, retired: bool) -> Shaft:
    shaft = Shaft.objects.one(_shop_of(actor), shaft_id)
    if not retired and _same_shaft(shaft.shop_id, shaft.spec) not in (None, shaft):
        raise BadInput(say("act-another-shaft-name-rack-2"), field="name")
    shaft.retired_at = timezone.now() if retired else None
    shaft.save(update_fields=["retired_at"])
    _changed(actor, "rack.off" if retired else "rack.on", f"shaft:{shaft.pk}", name=shaft.name)
    return shaft


Read = ReadRack[HeadSpec] | ReadRack[ShaftSpec]


@dataclass(frozen=True)
class BroughtIn:
    """What of a file can go in, and how many of that were added and brought up to date; 0 when only looked at."""

    found: Read
    added: int = 0
    changed: int = 0


def _read(text: str, what: str) -> Read:
    if len(text) > MOST_TEXT:
        raise BadInput(say("act-file-over-mb-more-2"), field="file")
    return read_heads(text) if what == "heads" else read_shafts(text)


@action("own")
def look_at(_actor: User, text: str, what: str) -> BroughtIn:
    """What of a file of heads or shafts would go in; changes nothing. Raises BadInput for one that cannot be read."""
    return BroughtIn(_read(text, what))


@action("own")
def bring_in(actor: User, text: str, what: str) -> BroughtIn:
    """Take in the rows of a file that can go in: what is on the rack by name is brought up to date, the rest is
    added. Rows that cannot are told and left out; nothing is taken off the rack."""
    found = _read(text, what)
    if not found.rows:
        raise BadInput(say("act-no-row-file-can"), field="file")
    shop, added, changed = _shop_of(actor), 0, 0
    for _, spec in found.rows:
        there = _there(shop, spec)
        if there is None:
            _put_on(shop, spec)
            added += 1
        elif there.spec != spec:
            for name, value in _columns(spec).items():
                setattr(there, name, value)
            there.save()
            changed += 1
    _changed(actor, "rack.bring_in", f"shop:{shop}", what=what, added=added, changed=changed)
    return BroughtIn(found, added, changed)


def _there(shop: int, spec: HeadSpec | ShaftSpec) -> Head | Shaft | None:
    return _same_head(shop, spec) if isinstance(spec, HeadSpec) else _same_shaft(shop, spec)


def _columns(spec: HeadSpec | ShaftSpec) -> dict[str, Any]:
    return head_columns(spec) if isinstance(spec, HeadSpec) else shaft_columns(spec)


def _put_on(shop: int, spec: HeadSpec | ShaftSpec) -> None:
    (Head if isinstance(spec, HeadSpec) else Shaft).objects.create(shop_id=shop, **_columns(spec))


@action("own")
def start_from_usual(actor: User, kinds: Collection[HeadType]) -> int:
    """Put the usual lofts of some kinds on the rack, without names, and shafts that go into them; how many heads that
    were. What is there already stays as it is."""
    if not set(kinds) <= set(USUAL) or not kinds:
        raise BadInput(say("act-choose-fairway-woods-hybrids"), field="kinds")
    shop = _shop_of(actor)
    heads = [spec for spec in generic_heads(kinds) if _same_head(shop, spec) is None]
    shafts = [spec for spec in generic_shafts(kinds) if _same_shaft(shop, spec) is None]
    fresh: list[HeadSpec | ShaftSpec] = [*heads, *shafts]
    for spec in fresh:
        _put_on(shop, spec)
    _changed(actor, "rack.usual", f"shop:{shop}", kinds=sorted(kinds), added=len(heads))
    return len(heads)

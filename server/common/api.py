"""Reading a request into a dataclass and answering with one: all a view does besides calling an action."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import fields, is_dataclass
from decimal import Decimal
from functools import cache
from typing import Any, TypeVar

from django.core.validators import ProhibitNullCharactersValidator
from drf_spectacular.extensions import OpenApiSerializerFieldExtension
from hemicycle_core.said import Said, Sayable, as_data, as_said, say
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework_dataclasses.serializers import DataclassSerializer

from .document import SENTENCE

T = TypeVar("T")
SENT = "sent"


class _Text(serializers.CharField):
    """Text that may be empty; what must not be is for the actions to say."""

    def __init__(self, **options: Any) -> None:
        super().__init__(**{"allow_blank": True, "trim_whitespace": False, **options})
        for validator in self.validators:
            if isinstance(validator, ProhibitNullCharactersValidator):
                validator.message = str(say("file-is-no-text"))


class _Money(serializers.DecimalField):
    """An amount; what no column holds is refused before arithmetic on it fails."""

    def __init__(self, **options: Any) -> None:
        super().__init__(**{**options, "max_digits": 10, "decimal_places": 2})


class Sentence(serializers.Field):  # type: ignore[type-arg]
    """What is said, as data."""

    def to_representation(self, value: Sayable) -> Any:
        return as_data(value)

    def to_internal_value(self, data: Any) -> Said:
        try:
            return as_said(data)
        except ValueError as error:
            raise serializers.ValidationError(str(error)) from error


class SentenceAsData(OpenApiSerializerFieldExtension):  # type: ignore[no-untyped-call]
    """A sentence stands once in the document."""

    target_class = Sentence

    def get_name(self) -> str:
        return "Sentence"

    def map_serializer_field(self, auto_schema: Any, direction: Any) -> dict[str, Any]:
        return SENTENCE


class SchemaSerializer(DataclassSerializer[T]):  # type: ignore[type-var]
    serializer_field_mapping = {
        **DataclassSerializer.serializer_field_mapping,
        str: _Text,
        Said: Sentence,
        Decimal: _Money,
    }

    def to_internal_value(self, data: Any) -> Any:
        """A field that there is not would be lost without a word: of a request it is refused by name. What was kept
        once may have fields that are no more."""
        sent = isinstance(data, Mapping) and self.context.get(SENT)
        unknown = [name for name in data if name not in self.fields] if sent else []
        if unknown:
            raise serializers.ValidationError({unknown[0]: "there is no such field here."})
        return super().to_internal_value(data)


SchemaSerializer.serializer_dataclass_field = SchemaSerializer  # type: ignore[method-assign, assignment]


@cache
def _serializer_of(kind: Any) -> Any:
    meta = type("Meta", (), {"dataclass": kind})
    return type(f"{kind.__name__}Serializer", (SchemaSerializer,), {"Meta": meta})


def serializer_of(kind: type[T]) -> type[SchemaSerializer[T]]:
    """The serializer class of a dataclass, named after it so that the API document reads well."""
    made: type[SchemaSerializer[T]] = _serializer_of(kind)  # type: ignore[arg-type]
    return made


def given(request: Request, kind: type[T]) -> T:
    """The request's body as a dataclass; a problem+json answer when it is not one."""
    return _checked(kind, request.data, sent=True)


def as_(kind: type[T], data: Any) -> T:
    """Plain data that was kept as a dataclass, checked."""
    return _checked(kind, data, sent=False)


def _checked(kind: type[T], data: Any, *, sent: bool) -> T:
    made = serializer_of(kind)(data=data, context={SENT: sent})
    made.is_valid(raise_exception=True)
    validated: T = made.validated_data
    return validated


def named(sent: Any, read: object) -> dict[str, Any]:
    """The fields that were sent, as they were read; the rest of what was read are only its usual ones."""
    there = sent if isinstance(sent, Mapping) else {}
    return {name: getattr(read, name) for name in there if hasattr(read, name)}


@cache
def _fields_of(kind: type[Any]) -> tuple[str, ...] | None:
    return tuple(each.name for each in fields(kind)) if is_dataclass(kind) else None


def shown(answer: Any) -> Any:
    """A dataclass, or what holds some, as plain data. Its serializer documents it; the fields hold plain values
    already, and walking them through it took longer than judging a session. `asdict`, which copies each value, takes
    five times as long as this.
    """
    kind = type(answer)
    if kind is list or kind is tuple:
        return [shown(each) for each in answer]
    if kind is dict:
        return {key: shown(each) for key, each in answer.items()}
    if kind is Said:
        return as_data(answer)
    names = _fields_of(kind)  # type: ignore[arg-type]
    return answer if names is None else {name: shown(getattr(answer, name)) for name in names}

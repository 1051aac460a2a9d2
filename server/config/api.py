"""Reading a request into a dataclass and answering with one: all a view does besides calling an action."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any, TypeVar

from django.core.validators import ProhibitNullCharactersValidator
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework_dataclasses.serializers import DataclassSerializer
from shop.models import User

T = TypeVar("T")


class _Text(serializers.CharField):
    """Text that may be empty; what must not be is for the actions to say."""

    def __init__(self, **options: Any) -> None:
        super().__init__(**{"allow_blank": True, "trim_whitespace": False, **options})
        for validator in self.validators:
            if isinstance(validator, ProhibitNullCharactersValidator):
                validator.message = "This is not a text file. Export the shots as CSV."


class PictureSerializer(DataclassSerializer[T]):  # type: ignore[type-var]
    serializer_field_mapping = {**DataclassSerializer.serializer_field_mapping, str: _Text}


PictureSerializer.serializer_dataclass_field = PictureSerializer  # type: ignore[method-assign, assignment]


def serializer_of(kind: type[T]) -> type[PictureSerializer[T]]:
    """A serializer class for a dataclass, named after it so that the API document reads well."""
    meta = type("Meta", (), {"dataclass": kind})
    return type(f"{kind.__name__}Serializer", (PictureSerializer,), {"Meta": meta})


def given(request: Request, serializer: type[PictureSerializer[T]]) -> T:
    """The request's body as its dataclass; a problem+json answer when it is not one."""
    made = serializer(data=request.data)
    made.is_valid(raise_exception=True)
    validated: T = made.validated_data
    return validated


def actor_of(request: Request) -> User:
    assert isinstance(request.user, User)
    return request.user


def shown(_serializer: type[PictureSerializer[Any]], picture: Any, *, many: bool = False) -> Any:
    """A picture as plain data. The serializer documents it; pictures hold plain values already, and walking them
    field by field took longer than judging a session."""
    return [asdict(each) for each in picture] if many else asdict(picture)

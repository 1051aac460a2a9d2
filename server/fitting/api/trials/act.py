"""What can be done in a test, a line each; addresses, views and the document of the API are made from the lines."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Literal

from shop.models import User

from ...models import FittingSession, Trial
from ..schemas.soles import LinkOut

On = Literal["session", "trial", "event"]
METHODS = {"PUT": 200, "POST": 201}


@dataclass(frozen=True)
class Act:
    """on: what it is done to, and so how its address begins; name: how it ends. body: what is sent, None for nothing.
    do: given who does it, the number of what it is done to, and the body; answers with the session or a trial of it,
    and says in its docstring what the document says."""

    on: On
    method: Literal["PUT", "POST"]
    name: str
    body: type[Any] | None
    do: Callable[[User, int, Any], FittingSession | Trial]
    status: int | None = None

    @property
    def code(self) -> int:
        return METHODS[self.method] if self.status is None else self.status


@dataclass(frozen=True)
class Test:
    """One test as the API has it. link: which code is which club, for whoever may know."""

    key: str
    acts: tuple[Act, ...] = ()
    link: Callable[[User, int], LinkOut] | None = None

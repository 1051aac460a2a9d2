"""What is written down of a session when it is agreed, so that it is shown as it was from then on."""

from __future__ import annotations

import json
from collections.abc import Callable
from typing import Any

from common.version import code_version
from django.core.serializers.json import DjangoJSONEncoder

from ..models import AgreedAnswers, FittingSession
from .session import JudgedSession, load

Answers = dict[str, Any]
# Every answer of a session, as the presenters know, which stand on the actions and say so when they start.
_made: list[Callable[[JudgedSession], Answers]] = []


def answers_are_made_by(make: Callable[[JudgedSession], Answers]) -> None:
    _made[:] = [make]


def keep_as_agreed(session: FittingSession) -> None:
    """session: as it is after agreeing, with its shop, customer, bay and fitter."""
    # Read anew, not from what is kept: this transaction may yet be rolled back.
    answers = _made[0](load(session))
    AgreedAnswers.objects.create(
        shop_id=session.shop_id,
        session=session,
        code=code_version(),
        answers=json.loads(json.dumps(answers, cls=DjangoJSONEncoder)),
    )

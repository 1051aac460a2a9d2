"""The addresses of all tests, made from what each says can be done in it: `sessions/N/trials/TEST`, `trials/N/ACT` and
`trial-events/N/ACT`. A new test with acts of its own: its module, and its line in `TESTS`; one of two clubs under codes
has them by what it keeps."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Callable, Mapping
from typing import Any

from common.api import given, serializer_of, shown
from django.http import Http404
from django.urls import URLPattern, path
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...models import FittingSession, Trial, TrialEvent
from ..answers import changed, documented_change
from ..schemas.soles import LinkOut
from . import pair, sole, stop
from .act import Act, On, Test

TESTS: Mapping[str, Test] = {each.key: each for each in (sole.TEST, *pair.TESTS, stop.TEST)}
BEGINS: Mapping[On, str] = {"trial": "trials/<int:trial_id>", "event": "trial-events/<int:event_id>"}


def test_of(actor_shop: int, on: On, number: int) -> str:
    """The test that a trial, or a thing seen or said in one, belongs to; 404 where it is of another shop."""
    if on == "event":
        return TrialEvent.objects.select_related("trial").one(actor_shop, number).trial.test
    return Trial.objects.one(actor_shop, number).test


def _asked(request: Request, on: On, acts: Mapping[str, Act], number: int) -> Act:
    """The act of the test at hand; an address that this test has not is no address."""
    if on == "session":
        return next(iter(acts.values()))
    found = acts.get(test_of(actor_of(request).shop_id or 0, on, number))
    if found is None:
        raise Http404
    return found


def _handler(acts: Mapping[str, Act]) -> Callable[..., Response]:
    test, like = next(iter(acts.items()))

    def handle(_view: APIView, request: Request, **numbers: int) -> Response:
        (number,) = numbers.values()
        act = _asked(request, like.on, acts, number)
        done = act.do(actor_of(request), number, None if act.body is None else given(request, act.body))
        session = done.pk if isinstance(done, FittingSession) else done.session_id
        return changed(request, session, act.code)

    handle.__doc__ = " ".join(dict.fromkeys(each.do.__doc__ or "" for each in acts.values()))
    name = _name(like, test)
    made: Callable[..., Response] = documented_change(like.body, name=name, tags=["trials"], status=like.code)(handle)
    return made


def _acts_by_address() -> Mapping[str, Mapping[str, Mapping[str, Act]]]:
    """Of each address and method the act of each test that has it."""
    found: dict[str, dict[str, dict[str, Act]]] = defaultdict(lambda: defaultdict(dict))
    for test in TESTS.values():
        for act in test.acts:
            begins = BEGINS.get(act.on, f"sessions/<int:session_id>/trials/{test.key}")
            mine = found["/".join(filter(None, (begins, act.name)))][act.method]
            mine[test.key] = act
            alike = {(each.body, each.code) for each in mine.values()}
            assert len(alike) == 1, f"One address has one body: {act.name} of {', '.join(mine)}"
    return found


class TrialLinkView(APIView):
    @extend_schema(responses=serializer_of(LinkOut), operation_id="trial_link", tags=["trials"])
    def get(self, request: Request, trial_id: int) -> Response:
        """Which code is which club: for whoever set the test up alone, and written down."""
        actor = actor_of(request)
        link = TESTS[test_of(actor.shop_id or 0, "trial", trial_id)].link
        if link is None:
            raise Http404
        answer = Response(shown(link(actor, trial_id)))
        answer["Cache-Control"] = "private, no-store"
        return answer


def _name(act: Act, test: str) -> str:
    """How the document names an act: `begin_sole`, `stop_seen`, `trial_guess`, `trial_event_said`."""
    if act.on == "session":
        return f"{test}_{act.name}" if act.name else f"begin_{test}"
    return f"{'trial' if act.on == 'trial' else 'trial_event'}_{act.name}".replace("-", "_")


def addresses() -> list[URLPattern]:
    """The addresses of all tests."""
    made = [path("trials/<int:trial_id>/link", TrialLinkView.as_view())]
    for address, methods in _acts_by_address().items():
        handlers: dict[str, Any] = {}
        for method, acts in methods.items():
            handlers[method.lower()] = _handler(acts)
        view: type[APIView] = type("TrialActView", (APIView,), handlers)
        made.append(path(address, view.as_view()))
    return made

"""Two shops, so that every test can ask whether one sees the other's."""

from __future__ import annotations

import json
import threading
from collections.abc import Iterable
from itertools import count
from typing import Any

import pytest
from common.policy import Role
from customers.actions import add_customer
from customers.models import Customer
from demo.load import load_rack
from django.contrib.auth.hashers import make_password
from django.db import connections
from django.test import Client
from fitting.actions import builds, sessions, shots, sole_setup
from fitting.models import Build, FittingSession
from hemicycle_core.protocols.sole.kept import Control
from rack.models import Head, Shaft
from shop.models import Bay, Shop, User

PASSWORD = "long enough to pass"


@pytest.fixture(scope="session")
def django_db_modify_db_settings(django_db_modify_db_settings_parallel_suffix):
    """Here a connection that is closed is closed: a pool would keep the database from being dropped. Server processes
    that tests start have theirs."""
    connections.databases["default"]["OPTIONS"].pop("pool", None)


@pytest.fixture(autouse=True)
def _settings(settings):
    settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]


def person(shop: Shop, name: str, role: str = Role.FITTER) -> User:
    return User.objects.create(username=name, shop=shop, role=role, password=make_password(PASSWORD, hasher="md5"))


@pytest.fixture
def shop(db) -> Shop:
    made = Shop.objects.create(name="One")
    Bay.objects.create(shop=made, name="Bay 1", indoor=False)
    load_rack(made)
    return made


@pytest.fixture
def fitter(shop) -> User:
    return person(shop, "fitter")


@pytest.fixture
def owner(shop) -> User:
    return person(shop, "owner", Role.OWNER)


@pytest.fixture
def stranger(db) -> User:
    return person(Shop.objects.create(name="Two"), "stranger", Role.OWNER)


@pytest.fixture
def desk(fitter) -> Client:
    """A client signed in as the fitter."""
    client = Client(headers={"Prefer": "words"})
    client.force_login(fitter)
    return client


@pytest.fixture
def boss(owner) -> Client:
    """A client signed in as the owner."""
    client = Client(headers={"Prefer": "words"})
    client.force_login(owner)
    return client


@pytest.fixture
def session(fitter) -> FittingSession:
    """A session with a typed bag that has a hole, and one candidate in hand."""
    customer: Customer = add_customer(fitter, name="Ada Field", hand="right")
    bay = Bay.objects.get(shop=fitter.shop)
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=bay.pk)
    for name, carry, total in (("Dr", 224, 243), ("5W", 196, 204), ("5i", 162, 170), ("6i", 151, 158)):
        builds.add_club(fitter, made.pk, name=name, typed_carry_m=carry * 0.9144, typed_total_m=total * 0.9144)
    head, shaft = Head.objects.get(label="4H", model="Skerry"), Shaft.objects.get(name="Fenlark 65 H")
    builds.add_candidates(fitter, made.pk, [builds.CandidateChoice(head.pk, shaft.pk)])
    made.refresh_from_db()
    return made


def sole_test(heads: Iterable[Head], **over: Any) -> sole_setup.SetUp:
    """How a blind test of these heads is set up; the first is the control unless said otherwise."""
    usual = {
        "loft_deg": 58, "clubs": [sole_setup.ClubOfTest(head=head.pk) for head in heads], "shaft": None,
        "places": ["pitch", "fuller", "tight", "sand"], "control": 0, "control_is": Control.FRESH, "repeat": None,
        "short": False, "double": False, "wedge": None,
    }  # fmt: skip
    return sole_setup.SetUp(**{**usual, **over})


def strike(session, letter, carry, total, n=6):
    """Six shots about one carry and total in yards, with a build on the stand."""
    build = Build.objects.get(session=session, letter=letter)
    run = shots.run_for(session, build)
    rows = [
        {"carry_m": (carry + off) * 0.9144, "total_m": (total + off) * 0.9144, "landing_deg": 46.0, "offline_m": off}
        for off in (-1.5, -1, -0.5, 0.5, 1, 1.5)[:n]
    ]
    shots.take_in(session, run, rows)
    return build


NUMBERS = count(1)


def tab(user, name):
    """A screen of its own: numbers its changes and says what it looked at."""
    client = Client(headers={"Prefer": "words"})
    client.force_login(user)

    def call(method, url, body, *, since=None, change=None):
        headers = {"change": change or f"tab-{name}-00000000.{next(NUMBERS)}"}
        if since is not None:
            headers["since-revision"] = str(since)
        return client.generic(method, url, json.dumps(body), content_type="application/json", headers=headers)

    call.get = client.get
    return call


def both(*acts):
    """Run acts at once, each on a connection of its own; their errors come out."""
    errors, ready = [], threading.Barrier(len(acts))

    def run(act):
        try:
            ready.wait(10)
            act()
        except Exception as error:  # whatever it is, the test is to see it
            errors.append(error)
        finally:
            connections.close_all()

    threads = [threading.Thread(target=run, args=[act]) for act in acts]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(30)
    assert errors == []

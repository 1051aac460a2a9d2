"""What is asked of the player: every protocol is whole, and only the stock shot of a full swing speaks for a club."""

import pytest
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols import PROTOCOLS, asked, findings, protocol_of
from hemicycle_core.shots import FULL_SWING, READINGS, Intent, Shot


@pytest.mark.parametrize("key", PROTOCOLS)
def test_a_protocol_says_what_it_asks_and_needs(key):
    protocol = PROTOCOLS[key]
    assert protocol.key == key and protocol.name and str(protocol.why).endswith(".")
    assert protocol.intents and protocol.shots > 0
    assert set(protocol.readings) <= set(READINGS)
    assert all(asked(key, intent) is protocol for intent in protocol.intents)
    assert protocol.read([], False) == []


def test_every_shot_that_can_be_meant_is_asked_for_by_one_protocol():
    assert {intent: protocol_of(intent).key for intent in Intent} == {
        Intent.STOCK: FULL_SWING,
        **dict.fromkeys((Intent.LOW, Intent.HIGH, Intent.DRAW, Intent.FADE), "shaped"),
        **dict.fromkeys((Intent.EASED, Intent.HARD), "effort"),
        Intent.YARDAGE: "yardage",
    }


def test_what_is_not_asked_in_a_protocol_is_refused_in_words():
    with pytest.raises(BadInput, match="Full swing asks for stock, not for low") as refused:
        asked(FULL_SWING, Intent.LOW)
    assert refused.value.field == "intent"
    with pytest.raises(BadInput, match="no test called"):
        asked("putting", Intent.STOCK)


def test_a_stock_shot_of_another_protocol_says_nothing_of_the_club():
    stock = {"values": {"carry_m": 160.0}}
    assert Shot(**stock).kept
    assert not Shot(**stock, protocol="stop").kept


def test_findings_come_by_protocol_with_what_was_asked_for():
    stock = [Shot({"carry_m": 160.0 + n, "peak_m": 27.0}) for n in range(4)]
    low = [Shot({"carry_m": 150.0 + n, "peak_m": 18.0}, intent=Intent.LOW, protocol="shaped") for n in range(3)]
    (found,) = findings([*stock, *low])
    assert (found.protocol, found.intent, found.n, found.as_asked) == ("shaped", Intent.LOW, 3, True)

"""A sentence as data: read in whose words and units, over the wire and back, the same here as in the browser."""

import json
from pathlib import Path

import pytest
from hemicycle_core.said import (
    ENGLISH,
    NOTHING,
    ClubLength,
    Far,
    Form,
    High,
    Reader,
    Speed,
    Units,
    Warmth,
    angle,
    as_data,
    as_said,
    chance,
    change,
    club_length,
    far,
    high,
    in_words,
    joined,
    listed,
    money,
    near,
    number,
    plain,
    say,
    share,
    some_way,
    speed,
    spin,
    term,
    warmth,
    with_and,
)
from hemicycle_core.said.pseudo import PSEUDO
from hemicycle_core.units import metres, mps

METRIC = Units(Far.METRES, High.METRES, Speed.KMH, Warmth.FAHRENHEIT, ClubLength.MILLIMETRES, "EUR")
READERS = {
    "usual": ENGLISH,
    "metric": Reader(METRIC),
    "mps": Reader(Units(speed=Speed.MPS)),
    "pseudo": Reader(METRIC, PSEUDO),
}
QUANTITIES = [
    far(metres(152.5)), far(-metres(2.5), form=Form.SIGNED), far(metres(1.25), 1), some_way(0.1), high(30.0),
    high(1524.0, -1), near(10 * 0.3048, form=Form.SHORT), club_length(0.90805, form=Form.SHORT), speed(mps(125.5)),
    speed(mps(1.25), 1), angle(4.5), angle(-2.5, form=Form.SIZE), spin(4749.0, -2), warmth(5.0), change(warmth(5.0)),
    money(279.0), share(0.125, 1), number(2.5), number(0.25, form=Form.SHORT), chance(0.995), chance(0.004),
]  # fmt: skip
SAID = [
    *(say("figure", figure=each) for each in QUANTITIES),
    say("why-carries-outside", carry=far(metres(173)), off=far(metres(3)), short=True, low=far(160.9), high=far(167.3)),
    say("more-shots", n=1),
    say("more-shots", n=1200),
    say("proposed-as-good", first="A", second="B", told=say("choose-as-you-like"), gains=False, gain=NOTHING),
    say("verdict-one-turn-away", turn=say("change-by", kind="loft", by=angle(1), more=True)),
    say("recommended-verdict", headline=say("verdict-one-head-away")),
    say("verdict-cannot-be-told", readings=with_and([term("reading", "spin_rpm"), term("reading", "launch_deg")])),
    say("claim-answered", name="54° M", complaint=say("complaint-digs"), words=say("claim-hit-it-first", n=3)),
    joined([say("next-tells-little"), plain("as “typed” {here}")]),
    listed([plain("5i"), plain("4H")]),
]
WRITTEN = Path(__file__).parent / "data" / "said.json"


def read_by_all() -> list[dict[str, object]]:
    return [
        {"said": as_data(each), **{name: in_words(each, reader) for name, reader in READERS.items()}} for each in SAID
    ]


def test_what_the_browser_is_held_to_is_what_is_read_here():
    made = json.dumps(read_by_all(), ensure_ascii=False, indent=1) + "\n"
    assert WRITTEN.read_text() == made, "Write it anew: python core/tests/test_said.py"


@pytest.mark.parametrize("said", SAID, ids=str)
def test_what_travels_comes_back_as_it_was(said):
    back = as_said(json.loads(json.dumps(as_data(said))))
    assert all(in_words(back, reader) == in_words(said, reader) for reader in READERS.values())


def test_one_sentence_in_another_unit_and_never_in_two():
    said = say("why-carries-inside", carry=far(160.0), low=far(150.0), high=far(170.0))
    assert str(said) == "Carries 175, inside 164 to 186."
    assert in_words(said, Reader(METRIC)) == "Carries 160, inside 150 to 170."
    assert in_words(say("figure", figure=speed(56.0)), Reader(Units(speed=Speed.MPS))) == "56.0 m/s"


def test_a_sentence_is_no_text_and_a_bare_figure_is_no_quantity():
    with pytest.raises(TypeError, match="is data"):
        f"{say('verdict-too-close')}"
    with pytest.raises(TypeError, match="bare float"):
        say("figure", figure=1.5)
    with pytest.raises(KeyError):
        str(say("there-is-no-such-message"))
    with pytest.raises(ValueError, match="Unknown external"):
        str(say("figure"))


def test_a_made_up_language_has_accents_and_is_longer():
    plain_, made = str(say("verdict-fills-its-step")), in_words(say("verdict-fills-its-step"), READERS["pseudo"])
    assert len(made) >= 1.3 * len(plain_) and not set("aeiou") & set(made)


if __name__ == "__main__":
    WRITTEN.write_text(json.dumps(read_by_all(), ensure_ascii=False, indent=1) + "\n")

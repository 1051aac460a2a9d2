"""The long end gapped in sequence: a club accepted for now cuts the rest anew; a visit starts from what was agreed."""

import pytest
from conftest import strike
from customers.actions import add_customer
from fitting.actions import builds, sessions
from fitting.models import Build
from hemicycle_core.said import as_said
from rack.models import Head, Shaft
from shop.models import Bay

JSON = "application/json"


def yd(metres):
    return round(metres / 0.9144, 1)


@pytest.fixture
def wide(fitter, shop):
    """Fifty-seven yards between an iron that stops at 176 and a driver that carries 233."""
    customer = add_customer(fitter, name="Rue Marsh", hand="right")
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    for name, carry, total in (("Dr", 233, 252), ("5i", 168, 176)):
        builds.add_club(fitter, made.pk, name=name, typed_carry_m=carry * 0.9144, typed_total_m=total * 0.9144)
    wood, shaft = Head.objects.filter(head_type="fairway").order_by("loft_deg"), Shaft.objects.all()
    for head in wood[:3]:
        fits = next(each for each in shaft if "fairway" in each.fits and abs(each.tip_in - head.tip_in) < 0.02)
        builds.add_candidates(fitter, made.pk, [builds.CandidateChoice(head.pk, fits.pk)])
    return made


def seen(desk, session):
    return desk.get(f"/api/sessions/{session.pk}").json()


def wanted(found, letter):
    window = next(each for each in found["builds"] if each["letter"] == letter)["wanted"]["carry_m"]
    return [yd(window["low"]), yd(window["high"])]


def accept(desk, build, accepted=True):
    answer = desk.put(f"/api/builds/{build.pk}/accepted", {"accepted": accepted}, content_type=JSON)
    assert answer.status_code == 200, answer.content
    return answer.json()


def test_three_slots_one_after_another_each_on_what_was_measured(desk, wide):
    found = seen(desk, wide)
    assert found["bag"]["headline"] == "57 yd uncovered between 5i and Dr."
    # Before a shot: half of the way between, with the roll of the neighbours there: 8 + 11/2 = 13.5.
    assert wanted(found, "A") == [194.2, 201.2]
    # It rolls 28: c = 176 + (57 - 28) / 2 = 190.5 give or take 3.5. It carries 7 past that.
    a = strike(wide, "A", 201, 229)
    found = seen(desk, wide)
    assert wanted(found, "A") == [187.0, 194.0]
    assert "7 long of 187 to 194" in found["verdicts"][0]["why"]
    # Accepted, the hole above it is 4 and closed; below, 176 to 201 is open, where neighbours roll 18 half-way.
    found = accept(desk, a)
    assert found["bag"]["headline"] == "25 yd uncovered between 5i and A " + a.name + "."
    assert found["verdicts"][0]["kind"] == "accepted"
    assert wanted(found, "B") == [176.0, 183.0]
    # B rolls 3, 15 less than was to be expected: c = 176 + (25 - 3) / 2 = 187.
    b = strike(wide, "B", 187, 190)
    found = seen(desk, wide)
    assert wanted(found, "B") == [183.5, 190.5]
    found = accept(desk, b)
    assert [yd(gap["open_m"]) for gap in found["bag"]["gaps"]] == [11, 11, 0]
    # Taken out again; C, which rolls as the neighbours do, closes both sides, and no third club is called for.
    found = accept(desk, b, accepted=False)
    assert wanted(found, "B") == [183.5, 190.5]
    found = accept(desk, strike(wide, "C", 180, 198))
    assert [yd(gap["open_m"]) for gap in found["bag"]["gaps"]] == [0, 0, 0]
    choice = desk.get(f"/api/sessions/{wide.pk}/bench").json()["choice"]
    assert (choice["letter"], choice["settled"]) == (None, True)
    assert choice["sentence"] == "No hole is left by this rule: no further club is needed."
    # What was accepted is what is suggested.
    handover = desk.get(f"/api/sessions/{wide.pk}/handover").json()
    assert len(handover["suggested"]) == 2


def test_what_was_taken_in_keeps_why_and_the_places_left_go_down(desk, wide):
    asked = {"rule": "roll_out", "clubs_to_place": 2}
    assert desk.put(f"/api/sessions/{wide.pk}/gap", asked, content_type=JSON).status_code == 200
    a, b = strike(wide, "A", 191, 205), strike(wide, "B", 186, 196)
    url = f"/api/sessions/{wide.pk}"
    before = desk.get(f"{url}/bench").json()["choice"]["sentence"]
    assert accept(desk, a)["clubs_to_place"] == 1
    c = strike(wide, "C", 206, 217)
    draft = desk.get(f"{url}/handover").json()["draft"]
    # Its own reasons and those of its rival, as they were told then; the window it was taken in for.
    a.refresh_from_db()
    said = str(as_said(a.taken["sentence"]))
    assert said == before if "A" in before else said.startswith("A was chosen by")
    window = f"For {a.taken['low_m'] / 0.9144:.0f} to {a.taken['high_m'] / 0.9144:.0f} yd"
    assert f"{window}: {said}" in draft["reasons"]
    lost = {each["letter"]: each["why"] for each in draft["lost"]}
    if any(each["letter"] == "B" for each in a.taken["lost"]):
        assert lost["B"].startswith(f"{window}, to A: ")
    assert {each["letter"] for each in draft["clubs"]} >= {"A"}
    assert c.pk and b.pk
    # Taken out again, and taken back: place, count and reasons come and go with it.
    assert accept(desk, a, accepted=False)["clubs_to_place"] == 2
    a.refresh_from_db()
    assert a.taken is None
    assert desk.post(f"{url}/undo", {}, content_type=JSON).status_code == 200
    a.refresh_from_db()
    assert (a.taken["counted"], seen(desk, wide)["clubs_to_place"]) == (True, 1)
    # Two taken in where one place is left, and out again in the order they came: no place is made up.
    accept(desk, b)
    assert [accept(desk, each, accepted=False)["clubs_to_place"] for each in (a, b)] == [2, 2]


def test_what_was_chosen_otherwise_is_told_in_words_of_its_own(desk, wide):
    a, b = strike(wide, "A", 196, 212, n=8), strike(wide, "B", 212, 222, n=8)
    url = f"/api/sessions/{wide.pk}/handover"
    found = desk.get(url).json()
    assert found["suggested"] == [a.pk]
    other, kept = (desk.get(f"{url}/draft{asked}").json() for asked in (f"?builds={b.pk}", ""))
    said = found["suggestion"]
    assert other["reasons"].startswith(f"B was chosen by fitter and player against what was proposed: “{said}”")
    assert other["lost"][0]["why"].startswith("Proposed, and passed over by fitter and player.")
    assert kept["reasons"].startswith("What is there was kept by fitter and player against what was proposed: ")
    for draft in (found["draft"], other, kept):
        told = [each["headline"] for each in draft["clubs"]]
        assert not any("Keep what you have" in each for each in told)
        assert not any("Recommended" in each["why"] for each in draft["lost"])


def test_only_what_was_hit_enough_is_accepted_and_nothing_once_agreed(desk, wide):
    few = strike(wide, "A", 200, 210, n=2)
    answer = desk.put(f"/api/builds/{few.pk}/accepted", {"accepted": True}, content_type=JSON)
    assert answer.status_code == 400
    assert "more kept shots" in answer.json()["title"]
    own = Build.objects.get(session=wide, name="5i")
    assert desk.put(f"/api/builds/{own.pk}/accepted", {"accepted": True}, content_type=JSON).status_code == 400


def test_the_next_visit_starts_from_the_bag_as_it_was_agreed(desk, fitter, wide):
    strike(wide, "A", 201, 229)
    spare = builds.add_club(fitter, wide.pk, name="7i", typed_carry_m=140.0)
    a = Build.objects.get(session=wide, letter="A")
    body = {"builds": [a.pk], "dropped": [spare.pk], "reasons": "Fills it.", "lost": []}
    answer = desk.post(f"/api/sessions/{wide.pk}/handover", body, content_type=JSON)
    assert answer.status_code == 201, answer.content
    again = sessions.open_session(fitter, customer_id=wide.customer_id, bay_id=wide.bay_id)
    found = seen(desk, again)
    by_name = {each["name"]: each for each in found["builds"]}
    assert set(by_name) == {"Dr", "5i", a.name}
    bought = by_name[a.name]
    assert [yd(bought["carry_m"]), yd(bought["total_m"])] == [201, 229]
    assert bought["carry_from"] == "typed"
    assert str(wide.held_on.year) in bought["known_from"]
    assert (bought["set_loft_deg"], bought["head_type"]) == (a.set_loft_deg, "fairway")

"""Files as people have them: other units and marks, columns missing, two spellings of a club, other things entirely."""

import pytest
from fitting.actions import builds
from fitting.domain.session import load
from fitting.models import Build, FittingSession, Shot
from hemicycle_core.units import yards
from rack.models import Head, Shaft
from shop.models import AuditEntry

JSON = "application/json"


def send(desk, session, text, status=200, where="import", **more):
    body = {"file_name": "shots.csv", "text": text, **more}
    answer = desk.post(f"/api/sessions/{session.pk}/{where}", body, content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


def preview(desk, session, text, **more):
    return send(desk, session, text, where="import/preview", **more)


def carry_of(session, name):
    loaded = load(FittingSession.objects.get(pk=session.pk))
    build = next(build for build in loaded.facts.own if build.name == name)
    return loaded.known.carried.get(build.key)


@pytest.fixture
def bare(fitter, session):
    """The session with an empty bag."""
    Build.objects.filter(session=session).update(archived=True)
    return session


METRES = "Club;Carry (m);Total (m)\nEisen 7;128,5;133,0\nEisen 7;130,5;135,0\nEisen 7;129,0;134,0\n"


def test_metres_with_decimal_commas_are_metres(desk, bare):
    seen = preview(desk, bare, METRES)
    assert [(column["key"], column["unit"]) for column in seen["columns"]] == [
        ("club", ""), ("carry_m", "m"), ("total_m", "m"),
    ]  # fmt: skip
    send(desk, bare, METRES, 201)
    name = Build.objects.get(session=bare, archived=False).name
    assert carry_of(bare, name).carry_m == pytest.approx(129.33, abs=0.01)


def test_a_unit_put_right_is_remembered_for_files_with_the_same_header(desk, bare):
    text = "Club,Carry\n7i,150\n7i,152\n7i,151\n"
    seen = preview(desk, bare, text)
    assert [each["sentence"] for each in seen["questions"]] == ["Is “Carry” in yards, metres or feet?"]
    assert send(desk, bare, text, 400)["title"] == "Is “Carry” in yards, metres or feet?"
    columns = [{key: column[key] for key in ("header", "key", "unit")} for column in seen["columns"]]
    columns[1]["unit"] = "m"
    send(desk, bare, text, 201, columns=columns)
    again = preview(desk, bare, text.replace("150", "149"))
    assert again["remembered"]
    assert again["columns"][1]["unit"] == "m"
    assert yards(carry_of(bare, "7i").carry_m) == pytest.approx(165.1, abs=0.1)


def test_a_mapping_of_another_file_is_refused_and_nothing_goes_in(desk, bare):
    columns = [{"header": "Klub", "key": "club", "unit": ""}, {"header": "Flug", "key": "carry_m", "unit": "yd"}]
    said = send(desk, bare, "Club,Carry (yd)\n7i,150\n", 400, columns=columns)
    assert (said["field"], said["title"]) == ("columns", "The mapping is for another file. Choose the file again.")
    assert not Shot.objects.filter(session=bare).exists()


def test_a_mapping_without_a_carry_or_a_flight_is_refused_in_words(desk, bare):
    text = "Club,Carry (yd)\n7i,150\n"
    columns = [{"header": "Club", "key": "club", "unit": ""}, {"header": "Carry", "key": "", "unit": ""}]
    said = send(desk, bare, text, 400, where="import/preview", columns=columns)
    assert len(said["title"]) > 20
    assert not bare.imports.exists()


def test_every_club_left_out_takes_nothing_in(desk, bare):
    said = send(desk, bare, "Club,Carry (yd)\n7i,150\n7i,152\n", 400, clubs={"7i": ""})
    assert said["title"] == "No shot of the file could be taken in. Check the mapping."
    assert not bare.imports.exists()
    assert not Build.objects.filter(session=bare, archived=False).exists()


def test_two_spellings_of_one_club_are_one_club(desk, bare):
    send(desk, bare, "Club,Carry (yd)\n7 Iron,150\n7i,152\n7-iron,151\n", 201, clubs={})
    clubs = Build.objects.filter(session=bare, archived=False)
    assert [club.name for club in clubs] == ["7i"]
    assert Shot.objects.filter(run__build=clubs[0]).count() == 3


def test_a_missing_loft_is_filled_only_where_the_name_tells_it(desk, bare):
    text = "Club,Carry (yd)\n7i,150\n7i,151\nOld faithful,140\nOld faithful,141\n"
    said = "“Old faithful” does not say what kind of club it is: choose one."
    assert [each["sentence"] for each in preview(desk, bare, text)["questions"]] == [said]
    assert send(desk, bare, text, 400)["title"] == said
    assert not Shot.objects.filter(session=bare).exists()
    send(desk, bare, text, 201, kinds={"Old faithful": "hybrid"})
    assert Build.objects.get(session=bare, name="Old faithful").head_type == "hybrid"
    lofts = dict(Build.objects.filter(session=bare, archived=False).values_list("name", "set_loft_deg"))
    assert lofts == {"7i": 33, "Old faithful": None}
    assert desk.get(f"/api/sessions/{bare.pk}").status_code == 200


def test_shots_that_cannot_be_read_are_named_by_line_and_column_and_the_rest_counts(desk, bare):
    text = "Club,Carry (yd)\n7i,150\n7i,far\n7i,151\n,149\n7i,9000\n7i,152\n"
    taken = send(desk, bare, text, 201)
    assert taken["shots"] == 3
    lines = {problem["line"]: problem for problem in taken["problems"]}
    assert lines[3]["column"] == "Carry (yd)"
    assert set(lines) == {3, 5, 6}
    assert all(len(problem["sentence"]) > 10 for problem in taken["problems"])


@pytest.mark.parametrize(
    "text",
    ["", "\n\n", "Club,Carry (yd)\n", "%PDF-1.7 binary", "just a sentence without any figures in it", "a\tb\n" * 3],
)
def test_what_holds_no_shots_says_so_and_leaves_no_trace(desk, bare, text):
    said = send(desk, bare, text, 400)
    assert len(said["title"]) > 20
    assert not bare.imports.exists()
    assert not AuditEntry.objects.filter(action="shots.import").exists()


def test_a_file_with_more_rows_than_a_session_is_refused(desk, bare):
    said = send(desk, bare, "Club,Carry (yd)\n" + "7i,150\n" * 20_001, 400)
    assert "rows" in said["title"]
    assert said["field"] == "file"


def test_a_letter_sends_shots_to_the_build_on_the_stand_and_they_come_back_out(desk, session):
    before = Build.objects.filter(session=session, letter="").count()
    build = Build.objects.get(session=session, letter="A")
    text = "Club,Carry (yd)\nTest one,180\nTest one,181\nTest one,179\nB,150\n"
    send(desk, session, text, 201, clubs={"Test one": "a"}, kinds={"B": "hybrid"})
    assert Shot.objects.filter(run__build=build).count() == 3
    # B is not on the stand: it is a name like any other.
    assert Build.objects.filter(session=session, letter="").count() == before + 1
    seen = desk.get(f"/api/sessions/{session.pk}").json()
    assert yards(next(each["carry_m"] for each in seen["builds"] if each["letter"] == "A")) == pytest.approx(180)
    (kept,) = session.imports.all()
    taken_back = desk.put(f"/api/imports/{kept.pk}", {"undone": True}, content_type=JSON).json()
    assert next(each["kept"] for each in taken_back["builds"] if each["letter"] == "A") == 0
    assert Build.objects.get(pk=build.pk).archived is False


def test_a_letter_on_the_stand_comes_before_any_club_of_the_bag_and_a_second_wedge_has_a_name_of_its_own(desk, session):
    head, shaft = Head.objects.get(label="4H", model="Skerry"), Shaft.objects.get(name="Fenlark 65 H")
    wanted = [builds.CandidateChoice(head.pk, shaft.pk, length_m=head.length_m + 0.0127 * step) for step in (1, 2, 3)]
    builds.add_candidates(session.fitter, session.pk, wanted)
    driver = Build.objects.get(session=session, name="Dr")
    send(desk, session, "Club,Carry (yd)\nD,180\nD,181\nD,179\n54,90\n54,91\n54 old,84\n54 old,85\n", 201)
    hit = {
        build.letter or build.name: build.pk
        for build in Build.objects.filter(session=session, runs__shots__isnull=False)
    }
    assert set(hit) == {"D", "54°", "54 old"}
    assert not Shot.objects.filter(run__build=driver).exists()
    old = Build.objects.get(session=session, name="54 old")
    assert (old.head_type, old.set_loft_deg) == ("wedge", 54)

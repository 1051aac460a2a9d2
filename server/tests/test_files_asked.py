"""What a file leaves open is asked and nothing of it goes in before that; what is here already is known by what it
reads; and our own file comes back as it went out."""

import base64
import csv
import io
from pathlib import Path

import pytest
from customers.actions import add_customer
from django.core.management import call_command
from fitting.actions import builds, sessions
from fitting.actions import shots as acts
from fitting.domain.bundle import written_shots
from fitting.domain.session import load
from fitting.models import Build, ColumnMapping, FittingSession, Run, Shot, ShotImport
from hemicycle_core.formats.csv_out import shots_csv
from hemicycle_core.shots import READINGS, fill_blanks
from shop.models import Bay, User

JSON = "application/json"

FILES = Path(__file__).resolve().parents[2] / "core" / "tests" / "data" / "files"


def send(desk, session, text, status=200, where="import", **more):
    body = {"file_name": "shots.csv", "text": text, **more}
    answer = desk.post(f"/api/sessions/{session.pk}/{where}", body, content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


def preview(desk, session, text, **more):
    return send(desk, session, text, where="import/preview", **more)


@pytest.fixture
def bare(fitter, session):
    Build.objects.filter(session=session).update(archived=True)
    return session


def file_of(name, **more):
    """A file as the screen sends it."""
    path = FILES / name
    if path.suffix == ".xlsx":
        return {"file_name": name, "text": "", "data": base64.b64encode(path.read_bytes()).decode(), **more}
    return {"file_name": name, "text": path.read_text(encoding="utf-8"), **more}


def sent(desk, session, name, status=201, where="import", **more):
    return send(desk, session, **file_of(name, **more), status=status, where=where)


def clubs_of(session):
    there = Build.objects.filter(session=session, archived=False, runs__shots__isnull=False)
    return sorted(set(there.values_list("name", flat=True)))


def test_two_players_are_two_and_the_one_that_is_chosen_goes_in(desk, bare):
    seen = sent(desk, bare, "two-players.csv", 200, "import/preview")
    assert [(each["name"], each["shots"]) for each in seen["players"]] == [("Jory Tamblyn", 4), ("Ines Marlowe", 4)]
    assert [each["id"] for each in seen["questions"]] == ["whose"]
    assert sent(desk, bare, "two-players.csv", 400)["field"] == "whose"
    assert not Shot.objects.filter(session=bare).exists()
    assert sent(desk, bare, "two-players.csv", whose="Ines Marlowe")["shots"] == 4
    speeds = Shot.objects.filter(session=bare).values_list("ball_speed_mps", flat=True)
    assert max(speeds) < 50  # those of the slower of the two
    again = sent(desk, bare, "two-players.csv", 200, "import/preview", whose="Jory Tamblyn")
    assert (again["shots"], again["here"]) == (4, 0)


def test_what_does_not_go_together_is_looked_at_first(desk, bare):
    seen = sent(desk, bare, "metres-called-yards.csv", 200, "import/preview")
    (asked,) = seen["questions"]
    assert "metres taken for yards" in asked["sentence"]
    assert sent(desk, bare, "metres-called-yards.csv", 400)["title"] == asked["sentence"]
    columns = [{key: each[key] for key in ("header", "key", "unit", "sure")} for each in seen["columns"]]
    right = [each | {"unit": "m"} if each["key"] == "carry_m" else each for each in columns]
    assert sent(desk, bare, "metres-called-yards.csv", 200, "import/preview", columns=right)["questions"] == []
    # Or it is so, and goes in as it is.
    assert sent(desk, bare, "metres-called-yards.csv", answered=[asked["id"]])["shots"] == 15


def test_a_column_that_may_be_two_things_is_taken_once_somebody_says_which(desk, bare):
    seen = sent(desk, bare, "two-carries.csv", 200, "import/preview")
    assert [each["maybe"] for each in seen["columns"]] == [[], ["carry_m"], ["carry_m"]]
    assert len(seen["questions"]) == 1  # the same of both
    assert "both read as carry" in sent(desk, bare, "two-carries.csv", 400)["title"]
    columns = [{key: each[key] for key in ("header", "key", "unit", "sure")} for each in seen["columns"]]
    columns[1] |= {"key": "carry_m", "unit": "yd", "sure": True}
    assert sent(desk, bare, "two-carries.csv", 200, "import/preview", columns=columns)["questions"] == []
    assert sent(desk, bare, "two-carries.csv", columns=columns)["shots"] == 12


def test_a_workbook_goes_in_as_a_text_does_and_is_kept_as_it_came(desk, bare):
    seen = sent(desk, bare, "workbook.xlsx", 200, "import/preview")
    assert (seen["sheets"], seen["shots"], seen["questions"]) == (["Shots", "Notes"], 20, [])
    assert sent(desk, bare, "workbook.xlsx")["shots"] == 20
    assert clubs_of(bare) == ["4H", "5W", "7i", "Dr"]
    (kept,) = ShotImport.objects.filter(session=bare)
    assert bytes(kept.data) == (FILES / "workbook.xlsx").read_bytes()
    assert sent(desk, bare, "workbook.xlsx", 400, sheet="Other")["field"] == "sheet"
    broken = base64.b64encode((FILES / "workbook.xlsx").read_bytes()[:900]).decode()
    assert "Save it again" in send(desk, bare, "", 400, data=broken)["title"]


def test_a_mapping_is_remembered_by_its_header_and_units_and_not_for_another_file(desk, bare):
    sent(desk, bare, "units-row-and-averages.csv")
    text = (FILES / "units-row-and-averages.csv").read_text(encoding="utf-8").replace("1,5 Wood", "1,7 Wood")
    assert preview(desk, bare, text)["remembered"] is True
    assert preview(desk, bare, text.replace("[yd]", "[m]"))["remembered"] is False
    assert ColumnMapping.objects.count() == 1


def test_rows_that_are_here_are_known_by_what_they_read_whatever_was_added_around_them(desk, bare):
    lines = (FILES / "plain-yards.csv").read_text(encoding="utf-8").splitlines()
    assert sent(desk, bare, "plain-yards.csv")["shots"] == 20
    one_more = lines[1].replace("1,Driver", "21,Driver").split(",")
    one_more[3] = "151.7"
    # Other lines above, another order, a column less, metres: the same shots.
    around = "\n".join(["Exported again", "", lines[0], *reversed(lines[1:]), ",".join(one_more)])
    seen = preview(desk, bare, around)
    assert (seen["here"], seen["shots"]) == (20, 1)
    assert [club["here"] for club in seen["clubs"]] == [5, 5, 5, 5]
    taken = send(desk, bare, around, 201)
    assert (taken["shots"], taken["here"], Shot.objects.filter(session=bare).count()) == (1, 20, 21)
    assert send(desk, bare, around, 400)["title"] == "The shots of this file are in already."
    assert send(desk, bare, around, 201, again=True)["shots"] == 21


def test_two_shots_alike_in_a_carry_are_two_shots(desk, bare):
    send(desk, bare, "Club,Carry (yd)\n7i,150\n7i,150\n7i,152\n", 201)
    assert Shot.objects.filter(session=bare).count() == 3
    assert preview(desk, bare, "Club,Carry (yd)\n7i,150\n7i,155\n")["here"] == 0
    assert preview(desk, bare, "Notes\n\nClub,Carry (yd)\n7i,152\n7i,150\n7i,150\n")["here"] == 3


def test_a_shot_without_a_direction_has_no_side_by_file_and_by_feed(desk, bare):
    sent(desk, bare, "no-direction.csv")
    shots = Shot.objects.filter(session=bare)
    assert shots.count() == 15 and not shots.exclude(offline_m=None).exists()
    assert "offline_m" not in shots[0].sources and shots[0].sources["landing_deg"] == "computed"
    # One that was once taken for straight is read without its side, also where it is agreed by now.
    shots.update(offline_m=0.0, sources={"carry_m": "measured", "offline_m": "computed"})
    seen = desk.get(f"/api/sessions/{bare.pk}").json()
    assert all("offline_m" not in shot["readings"] and "offline_m" not in shot["sources"] for shot in seen["shots"])
    board = desk.get(f"/api/sessions/{bare.pk}/bench").json()
    assert all(line["offline_m"] is None and line["pattern"] is None for line in board["flights"])


# Our own file, out and in


@pytest.fixture
def demo(db, monkeypatch):
    monkeypatch.setenv("HEMICYCLE_DEMO_PASSWORD", "only for this test")
    call_command("demo")
    return User.objects.get(username="fitter")


def same_stand(actor, old):
    """A session with the clubs of another, so that every club of its file has where to go."""
    customer = add_customer(actor, name="Again", hand=old.customer.hand)
    new = sessions.open_session(actor, customer_id=customer.pk, bay_id=Bay.objects.filter(shop=old.shop)[0].pk)
    new.swing = old.swing
    new.save()
    for build in Build.objects.filter(session=old):
        build.pk, build.session, build.turned_from, build.imported, build.accepted_at = None, new, None, None, None
        if build.archived or build.coded:
            build.archived, build.coded = True, build.coded
        build.save()
    return new


def without_place(shot):
    return {**vars(shot), "session": 0, "number": 0}


def test_our_own_file_comes_back_as_it_went_out_for_every_session_of_the_demo(demo, client):
    client.force_login(demo)
    tried = 0
    for old in FittingSession.objects.filter(shots__isnull=False).distinct():
        # Codes of a sole test are no clubs: nothing of another session can be filed under them.
        written = [each for each in written_shots(load(old)) if not is_code(old, each.club)]
        text = shots_csv(written)
        new = same_stand(demo, old)
        body = {"file_name": "own.csv", "text": text}
        seen = client.post(f"/api/sessions/{new.pk}/import/preview", body, content_type=JSON).json()
        assert seen["questions"] == [] and seen["problems"] == [] and seen["left"] == []
        answer = client.post(f"/api/sessions/{new.pk}/import", body, content_type=JSON)
        assert answer.status_code == 201, answer.content
        back = {each.number: each for each in written_shots(load(new))}
        order = [row for group in seen["clubs"] for row in (each for each in written if each.club == group["written"])]
        for (_, came), went in zip(sorted(back.items()), order, strict=True):
            assert without_place(came) == without_place(went)
        tried += len(written)
    assert tried > 400
    assert Shot.objects.filter(aside=True).exists() and Run.objects.exclude(protocol="full_swing").exists()


def is_code(session, name):
    return Build.objects.filter(session=session, name=name, coded=True).exists()


def test_every_column_of_our_file_is_documented():
    words = (FILES.parents[3] / "docs" / "formats" / "shots-csv.md").read_text(encoding="utf-8")
    header = next(csv.reader(io.StringIO(shots_csv([]))))
    assert all(f"`{name}`" in words for name in header if name not in READINGS)


def test_what_was_computed_is_told_from_what_was_measured_when_it_comes_back(desk, session):
    launch = {"ball_speed_mps": 58.0, "launch_deg": 14.0, "spin_rpm": 4300.0}
    (filled,) = fill_blanks([launch])
    build = Build.objects.get(session=session, letter="A")
    acts.take_in(session, acts.run_for(session, build), [launch])
    text = shots_csv(written_shots(load(session)))
    assert "carry_m:computed" in text
    customer = add_customer(session.fitter, name="Cy", hand="right")
    other = sessions.open_session(session.fitter, customer_id=customer.pk, bay_id=session.bay_id)
    builds.add_club(session.fitter, other.pk, name="4H")
    send(desk, other, text, 201, clubs={"A": "4H"})
    shot = Shot.objects.get(session=other)
    assert shot.carry_m == pytest.approx(filled["carry_m"]) and shot.sources["carry_m"] == "computed"
    assert shot.sources["ball_speed_mps"] == "measured"

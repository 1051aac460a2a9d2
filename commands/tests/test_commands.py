"""The programs of the command line, run as a user runs them."""

import csv
import io
import json
import re
import shutil
import subprocess
import threading
from http.server import BaseHTTPRequestHandler, HTTPServer
from pathlib import Path

import pytest
from hemicycle_commands import flight, judge, monitor, practice
from hemicycle_commands.bundled import bundled
from hemicycle_commands.judged_apart import judged_apart
from hemicycle_commands.vocabulary import printed
from hemicycle_core.simulation.golfer import Player
from hemicycle_core.simulation.practice.fittings import OWN
from hemicycle_core.simulation.practice.worlds import draw_world

HEADER = "id,ball_speed_mph,launch_deg,spin_rpm,altitude_ft\n"


def in_a_repository():
    git = shutil.which("git")
    here = [git, "-C", str(Path(__file__).parent), "rev-parse", "--verify", "HEAD"]
    return git is not None and subprocess.run(here, capture_output=True, check=False).returncode == 0


def flown(text, options=None):
    out, errors = io.StringIO(), io.StringIO()
    code = flight.fly_file(text, out, errors, options)
    return code, list(csv.DictReader(out.getvalue().splitlines())), errors.getvalue()


def test_flight_writes_rows_back_and_names_what_it_skipped():
    code, rows, said = flown(HEADER + "a,146,10.2,4437,\nb,400,10,4000,\nc,146,10.2,4437,6000\nd,146,,4000,\n")
    assert code == 1
    assert [row["id"] for row in rows] == ["a", "c"]
    assert 215 < float(rows[0]["carry_yd"]) < float(rows[1]["carry_yd"])
    assert 3 < float(rows[0]["carry_error_yd"]) < 7
    assert "Line 3 skipped: A ball speed of 400 mph cannot be flown" in said
    assert "Line 5 skipped: launch_deg is blank." in said


def test_flight_in_other_units_is_the_same_flight_and_json_lines_do_too():
    (plain,) = flown("ball_speed_mph,launch_deg,spin_rpm,temperature_f\n146,10.2,4437,50\n")[1]
    metric = flown("ball_speed_kmh;launch_deg;spin_rpm;temperature_c\n234,964;10,2;4437;10\n")[1][0]
    assert float(metric["carry_yd"]) == pytest.approx(float(plain["carry_yd"]), abs=0.15)
    out = io.StringIO()
    line = '{"id": 7, "ball_speed_mph": 146, "launch_deg": 10.2, "spin_rpm": 4437, "temperature_f": 50}\n'
    assert flight.fly_file(line + "[1]\n", out, io.StringIO()) == 1
    assert json.loads(out.getvalue())["carry_yd"] == float(plain["carry_yd"])


def test_flight_starts_from_an_anchor_and_tries_changes(tmp_path, capsys):
    launch = "ball_speed_mph,launch_deg,spin_rpm"
    rows = [f"{speed},14,4600" for speed in (118, 120, 122, 124)]
    (tmp_path / "launch.csv").write_text("\n".join([launch, *rows]))
    carries = [float(row["carry_yd"]) for row in flown("\n".join([launch, *rows]))[1]]
    measured = [f"{row},{0.95 * carry:.1f}" for row, carry in zip(rows, carries, strict=True)]
    (tmp_path / "measured.csv").write_text("\n".join([f"{launch},carry_yd", *measured, "120,14,4600,"]))
    words = [str(tmp_path / "launch.csv"), "--anchor", str(tmp_path / "measured.csv"), "--whatif", "loft=+1"]
    assert flight.main(words) == 0
    said = capsys.readouterr()
    first = next(csv.DictReader(said.out.splitlines()))
    assert float(first["carry_yd"]) == pytest.approx(0.95 * carries[0], rel=0.01)
    assert float(first["after_spin_rpm"]) > 4600
    assert float(first["after_carry_yd"]) != float(first["carry_yd"])
    assert "Anchor line 6 left out: no carry." in said.err
    assert "Anchored to 4 measured flights" in said.err
    assert flight.main([*words[:-1], "weight_back=5"]) == 2
    assert "only directions are known" in capsys.readouterr().err


def test_flight_says_which_column_is_missing(tmp_path, capsys):
    file = tmp_path / "launch.csv"
    file.write_text("ball_speed_mph,launch_deg\n146,10\n")
    assert flight.main([str(file)]) == 2
    assert "Missing column: spin_rpm" in capsys.readouterr().err
    assert flight.main([str(tmp_path / "none.csv")]) == 2


TEE = {
    "session": 1, "build": "A", "intent": "stock", "shots_so_far": 0, "seed": 3, "altitude_m": 0, "temperature_c": 20,
    "golfer": Player(speed_mps=38, misses={}).to_dict(),
    "club": {"name": "4H", "head_type": "hybrid", "loft_deg": 22, "length_m": 1.0, "own": False,
             "closed_deg": 0.0, "made_longer_m": 0.0},
}  # fmt: skip


class FailingFeed(BaseHTTPRequestHandler):
    """A feed that has no build in hand at first, stores the shot and then fails to answer, and then says to wait."""

    asked = 0
    seen: list[str] = []

    def do_GET(self):
        FailingFeed.asked += 1
        early = FailingFeed.asked < 3
        self._answer(409 if early else 200, {"title": "No build is in hand."} if early else TEE)

    def do_POST(self):
        body = json.loads(self.rfile.read(int(self.headers["Content-Length"])))
        self.seen.append(body["shots"][0]["id"])
        self._answer({1: 503, 2: 429}.get(len(self.seen), 200), {"build": "A", "title": "Wait."})

    def _answer(self, status, body):
        self.send_response(status)
        if status == 429:
            self.send_header("Retry-After", "1")
        self.end_headers()
        self.wfile.write(json.dumps(body).encode())

    def log_message(self, *_):
        pass


def test_the_stand_in_waits_when_told_to_and_sends_a_shot_again_with_the_same_id(monkeypatch, capsys):
    server = HTTPServer(("127.0.0.1", 0), FailingFeed)
    threading.Thread(target=server.serve_forever, daemon=True).start()
    monkeypatch.setenv("HEMICYCLE_FEED_KEY", "k")
    url = f"http://127.0.0.1:{server.server_port}"
    assert monitor.main(["--url", url, "--shots", "2", "--every", "0"]) == 0
    server.shutdown()
    server.server_close()
    assert len(FailingFeed.seen) == 4
    assert FailingFeed.seen[0] == FailingFeed.seen[1] == FailingFeed.seen[2] != FailingFeed.seen[3]
    said = capsys.readouterr()
    assert said.out.count("carry") == 2
    assert "Waiting: No build is in hand." in said.err


def test_the_stand_in_hits_what_is_asked_for():
    peaks = {}
    for intent in ("low", "stock", "high"):
        bay = monitor.FeedBay(seed=None)
        peaks[intent] = sum(bay.hit({**TEE, "intent": intent})["peak_m"] for _ in range(4)) / 4
    assert peaks["low"] + 2 < peaks["stock"] < peaks["high"] - 1


def test_the_stand_in_hits_from_the_lie_that_was_said_and_as_hard_as_is_asked():
    def mean(key, **more):
        bay = monitor.FeedBay(seed=5)
        return sum(bay.hit({**TEE, **more})[key] for _ in range(6)) / 6

    assert mean("ball_speed_mps", lie="rough") < mean("ball_speed_mps", lie=None) - 0.3
    assert (
        mean("ball_speed_mps", intent="eased")
        < mean("ball_speed_mps") - 1
        < mean("ball_speed_mps", intent="hard") - 1.5
    )
    assert 0.6 < mean("club_speed_mps", length="half") / mean("club_speed_mps") < 0.85
    assert mean("carry_m", wind_mps=6.0) < mean("carry_m") - 5  # against


@pytest.mark.parametrize(("words", "said"), [([], "--bay"), (["--shots", "0"], "1 to 1000")])
def test_the_stand_in_says_what_it_needs(monkeypatch, capsys, words, said):
    monkeypatch.setenv("HEMICYCLE_FEED_KEY", "k" if words else "")
    assert monitor.main(words) == 2
    assert said in capsys.readouterr().err


BUNDLE = Path(__file__).resolve().parents[2] / "docs" / "formats" / "session-bundle.example.json"


def test_judge_reads_the_worked_example_and_says_the_same_words_each_time(capsys):
    assert judge.main([str(BUNDLE)]) == 0
    said = capsys.readouterr().out
    judge.main([str(BUNDLE)])
    assert capsys.readouterr().out == said
    found = json.loads(said)
    assert [row["letter"] for row in found["verdicts"]] == ["A", "B", "C"]
    assert {row["metric"] for row in found["comparisons"]} == {"carry_m"}
    first = found["verdicts"][0]
    assert 0 < first["jobs"][0]["interval_90"][0] < first["jobs"][0]["success"] < first["jobs"][0]["interval_90"][1] < 1
    assert found["choice"]["letter"] in ("A", "B", "C", None)


def test_the_schema_that_is_documented_is_the_one_in_use(capsys):
    assert judge.main(["--schema"]) == 0
    written = BUNDLE.with_name("session-bundle.schema.json").read_text()
    assert capsys.readouterr().out == written, "Stale: print it anew with ./hemicycle judge --schema"


@pytest.mark.parametrize(
    ("spoil", "words"),
    [
        (lambda b: b.update(version=2), "version"),
        (
            lambda b: b["builds"][0]["shots"][0]["readings"].update(carry_m=1600),
            "builds.0.shots.0: Carry reads 1749.78 yd",
        ),
        (lambda b: b["builds"][0].pop("head_type"), "'head_type' is a required property"),
        (lambda b: b.update(slot={"low_m": 170, "high_m": 160}), "wrong way round"),
        (lambda b: b["builds"][1].update(letter="A"), "two builds have one letter"),
        (lambda b: b["jobs"][0].update(carry_over_m=250), "lies behind the target"),
        (lambda b: b.update(clubs=[]), "Give a slot, or clubs"),
    ],
)
def test_a_bundle_that_cannot_be_judged_names_the_place(tmp_path, capsys, spoil, words):
    bundle = json.loads(BUNDLE.read_text())
    spoil(bundle)
    file = tmp_path / "bundle.json"
    file.write_text(json.dumps(bundle))
    assert judge.main([str(file)]) == 2
    assert words in capsys.readouterr().err


def test_a_left_hander_in_the_mirror_gets_the_same_verdict(tmp_path, capsys):
    bundle = json.loads(BUNDLE.read_text())
    judge.main([str(BUNDLE)])
    right = json.loads(capsys.readouterr().out)
    for club in (*bundle["clubs"], *bundle["builds"]):
        for shot in club.get("shots", []):
            for key in ("offline_m", "direction_deg", "axis_deg", "path_deg", "face_deg"):
                if key in shot["readings"]:
                    shot["readings"][key] *= -1
    file = tmp_path / "mirror.json"
    file.write_text(json.dumps(bundle | {"customer": {"hand": "left"}}))
    assert judge.main([str(file)]) == 0
    left = json.loads(capsys.readouterr().out)
    assert [row["verdict"] for row in left["verdicts"]] == [row["verdict"] for row in right["verdicts"]]
    for one, other in zip(left["verdicts"], right["verdicts"], strict=True):
        assert one["jobs"][0]["success"] == pytest.approx(other["jobs"][0]["success"], abs=1e-6)
        assert one["jobs"][0]["fails"]["left"] == pytest.approx(other["jobs"][0]["fails"]["right"], abs=1e-6)


def test_a_world_is_judged_from_files(capsys):
    few = ["--fittings", "6", "--shots", "5", "--seed", "3", "--own"]
    assert practice.main(["--world", "equal", *few]) == 0
    (row,) = (line.split("|")[1:-1] for line in capsys.readouterr().out.splitlines() if line.startswith("| equal"))
    assert row[1].strip() == "now" and 0 <= float(row[8].strip().rstrip("%")) <= 100
    assert 0 <= float(row[13].strip().rstrip("%")) <= float(row[12].strip().rstrip("%")) <= 100
    assert practice.main(["--world", "plain", "--bag", "--fittings", "6", "--seed", "3"]) == 0
    (hole,) = (line.split("|")[1:-1] for line in capsys.readouterr().out.splitlines() if line.startswith("| plain"))
    assert float(hole[12].strip().rstrip("%")) > 60  # of the holes are filled
    assert practice.main(["--against", "HEAD"]) == 2 == practice.main(["--world", "plain", "--wedges"])
    assert "go with --world" in capsys.readouterr().err


@pytest.mark.skipif(not in_a_repository(), reason="An earlier commit is judged where there is a repository.")
def test_a_world_is_judged_by_an_earlier_commit_beside(capsys):
    few = ["--fittings", "4", "--shots", "5", "--seed", "3"]
    assert practice.main(["--world", "tired", *few, "--against", "HEAD"]) == 0
    rows = [line.split("|")[1:-1] for line in capsys.readouterr().out.splitlines() if line.startswith("| tired")]
    assert [row[1].strip() for row in rows] == ["now", "HEAD"]
    assert practice.main(["--world", "plain", *few, "--against", "no such commit"]) == 2
    assert "no commit" in capsys.readouterr().err


def test_what_goes_to_the_judge_says_nothing_of_the_truth_and_a_part_taken_out_changes_it():
    fitting = draw_world("tired", 3, 1, own=True)
    for letter in (OWN, *"ABCDE"):
        fitting.hit(letter, 6)
    seen = json.loads(json.dumps(bundled(fitting)))
    words = json.dumps(seen)
    assert not any(word in words for word in ("success", "truth", "misses", "usual"))
    orders = [shot["order"] for club in [*seen["clubs"], *seen["builds"]] for shot in club["shots"]]
    assert sorted(orders) == list(range(36))
    with_order = judged_apart(json.loads(words))
    for club in [*seen["clubs"], *seen["builds"]]:
        club["shots"] = [{key: value for key, value in shot.items() if key != "order"} for shot in club["shots"]]
    assert judged_apart(seen)["rounds"] != with_order["rounds"]


def test_practice_loses_less_than_the_hand_and_knows_how_sure_it_is(capsys):
    assert practice.main(["--fittings", "24", "--shots", "8", "--seed", "3"]) == 0
    said = capsys.readouterr().out
    rows = re.findall(r"\| \(([abc])\).*\| ([\d.]+) \| ([\d.]+) \|", said)
    assert [row[0] for row in rows] == ["a", "b", "c"]
    assert float(rows[2][1]) < float(rows[0][1])
    held = int(re.search(r"hold the truth: (\d+)%", said).group(1))
    assert 75 <= held <= 98
    assert practice.main(["--shots", "99"]) == 2


def test_the_front_end_is_built_with_the_words_of_the_core():
    kept = (Path(__file__).parents[2] / "web" / "src" / "api" / "vocabulary.ts").read_text()
    assert kept == printed(), "Stale: print it anew with ./hemicycle vocabulary > web/src/api/vocabulary.ts"

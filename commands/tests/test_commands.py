"""The programs of the command line, run as a user runs them."""

import io
import json
import threading
from http.server import BaseHTTPRequestHandler, HTTPServer

import pytest
from hemicycle_commands import flight, monitor
from hemicycle_core.golfer import Player


def test_flight_writes_rows_back_and_names_what_it_skipped():
    out, errors = io.StringIO(), io.StringIO()
    text = "id,ball_speed_mph,launch_deg,spin_rpm,altitude_ft\na,146,10.2,4437,\nb,400,10,4000,\nc,146,10.2,4437,6000\n"
    assert flight.fly_file(text, out, errors) == 1
    header, first, second = out.getvalue().splitlines()
    assert header == (
        "id,ball_speed_mph,launch_deg,spin_rpm,altitude_ft,carry_yd,total_yd,peak_ft,landing_deg,offline_yd,hang_s"
    )
    assert first.startswith("a,146,10.2,4437,,22")
    assert float(second.split(",")[5]) > float(first.split(",")[5])
    assert errors.getvalue().startswith("Line 3 skipped: A ball speed of")


def test_flight_says_which_column_is_missing(tmp_path, capsys):
    file = tmp_path / "launch.csv"
    file.write_text("ball_speed_mph,launch_deg\n146,10\n")
    assert flight.main([str(file)]) == 2
    assert "Missing column: spin_rpm" in capsys.readouterr().err
    assert flight.main([str(tmp_path / "none.csv")]) == 2


class FailingFeed(BaseHTTPRequestHandler):
    """A feed that stores the shot and then fails to answer, the first time."""

    seen: list[str] = []

    def do_GET(self):
        tee = {
            "session": 1, "build": "A", "shots_so_far": 0, "seed": 3, "altitude_m": 0, "temperature_c": 20,
            "golfer": Player(speed_mps=33).to_dict(),
            "club": {"name": "4H", "head_type": "hybrid", "loft_deg": 22, "length_m": 1.0, "own": False},
        }  # fmt: skip
        self._answer(200, tee)

    def do_POST(self):
        body = json.loads(self.rfile.read(int(self.headers["Content-Length"])))
        self.seen.append(body["shots"][0]["id"])
        self._answer(503 if len(self.seen) == 1 else 200, {"build": "A"})

    def _answer(self, status, body):
        self.send_response(status)
        self.end_headers()
        self.wfile.write(json.dumps(body).encode())

    def log_message(self, *_):
        pass


def test_the_stand_in_sends_a_shot_again_with_the_same_id(monkeypatch, capsys):
    server = HTTPServer(("127.0.0.1", 0), FailingFeed)
    threading.Thread(target=server.serve_forever, daemon=True).start()
    monkeypatch.setenv("HEMICYCLE_FEED_KEY", "k")
    url = f"http://127.0.0.1:{server.server_port}"
    assert monitor.main(["--url", url, "--shots", "2", "--every", "0"]) == 0
    server.shutdown()
    server.server_close()
    assert len(FailingFeed.seen) == 3
    assert FailingFeed.seen[0] == FailingFeed.seen[1] != FailingFeed.seen[2]
    assert capsys.readouterr().out.count("carry") == 2


@pytest.mark.parametrize(("words", "said"), [([], "--bay"), (["--shots", "0"], "1 to 1000")])
def test_the_stand_in_says_what_it_needs(monkeypatch, capsys, words, said):
    monkeypatch.setenv("HEMICYCLE_FEED_KEY", "k" if words else "")
    assert monitor.main(words) == 2
    assert said in capsys.readouterr().err

"""Files as they should not be: read as far as they can, refused in a sentence, in little memory, never a traceback."""

import contextlib
import io
import json
import os
import random
import subprocess
import sys
from pathlib import Path

import pytest
from hemicycle_commands import flight, judge

COUNT = int(os.environ.get("HEMICYCLE_BROKEN_FILES", "150"))  # 10,000 for the long trial
MOST_MB = 150
ROOT = Path(__file__).resolve().parents[2]
GOOD_CSV = "ball_speed_mph,launch_deg,spin_rpm\n146,10,2600\n130,14,3900\n"
GOOD_LINES = '{"ball_speed_mph": 146, "launch_deg": 10, "spin_rpm": 2600}\n'
BUNDLE = (ROOT / "docs" / "formats" / "session-bundle.example.json").read_text()
NASTY = ["\x00", "\ud800", "9" * 5000, "[" * 900, "1e999", "NaN", '"', "\n", ",", ";", "\t", "-", "{", "}", "null", "é"]


def spoilt(text: str, chance: random.Random) -> bytes:
    """A file with a few things cut out, doubled, or put in that do not belong there."""
    for _ in range(chance.randint(1, 4)):
        at, length = chance.randrange(len(text) + 1), chance.randint(0, 40)
        how = chance.randrange(4)
        if how == 0:
            text = text[:at] + text[at + length :]
        elif how == 1:
            text = text[:at] + text[at : at + length] * chance.randint(2, 50) + text[at:]
        elif how == 2:
            text = text[:at] + chance.choice(NASTY) + text[at:]
        else:
            text = text[:at]
    data = text.encode("utf-8", "surrogatepass")
    return data if chance.random() < 0.9 else bytes(byte ^ chance.randrange(256) for byte in data[:600])


def test_broken_files_end_in_a_sentence(tmp_path):
    chance, file = random.Random(11), tmp_path / "file"
    for number in range(COUNT):
        command, good = [(flight, GOOD_CSV), (flight, GOOD_LINES * 3), (judge, BUNDLE)][number % 3]
        file.write_bytes(spoilt(good, chance))
        said = io.StringIO()
        with contextlib.redirect_stdout(io.StringIO()), contextlib.redirect_stderr(said):
            code = command.main([str(file)])
        assert code in (0, 1, 2)
        assert code == 0 or len(said.getvalue()) > 10, file.read_bytes()[:200]


HUGE = {
    "wide": "a," * 100_000 + "\n" + "1\n" * 2000,  # 0.2 MB that grew to gigabytes when every row was filled up
    "long": "carry_m,club\n" + "1,7i\n" * 700_000,
    "one line": "x" * 3_900_000,
    "one cell": '"' + "a\n" * 1_500_000,
    "deep": "[" * 3_000_000,
    "many": "[" + "[]," * 1_200_000 + "[]]",
    "digits": '{"ball_speed_mph": ' + "9" * 3_000_000 + "}",
}
MEASURED = """
import sys
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.json_text import read_json
from hemicycle_core.formats.table import read_table
text = open(sys.argv[1]).read()
for read in (lambda: read_table(text, most_rows=2000), lambda: read_json(text)):
    try:
        read()
    except BadInput as error:
        print(error)
    else:
        print("read")
print(next(line.split()[1] for line in open("/proc/self/status") if line.startswith("VmHWM")))
"""


@pytest.mark.parametrize("name", HUGE)
def test_a_huge_file_is_refused_in_little_memory(name, tmp_path):
    file = tmp_path / "huge"
    file.write_text(HUGE[name])
    done = subprocess.run(
        [sys.executable, "-c", MEASURED, str(file)], capture_output=True, text=True, timeout=60, check=True,
        env={**os.environ, "PYTHONPATH": str(ROOT / "core")},
    )  # fmt: skip
    *said, kilobytes = done.stdout.splitlines()
    assert "read" not in said
    assert int(kilobytes) / 1024 < MOST_MB, name


def test_numbers_that_are_none_are_said(tmp_path, capsys):
    file = tmp_path / "lines"
    file.write_text(GOOD_LINES + '{"ball_speed_mph": 1e999, "launch_deg": 10, "spin_rpm": 2600}\n')
    assert flight.main([str(file)]) == 1
    said = capsys.readouterr()
    assert "is not a number that anything here can be" in said.err
    assert json.loads(said.out.splitlines()[0])["carry_yd"] > 200

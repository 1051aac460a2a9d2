"""Shots from any file through a column mapping; our own header needs none (docs/formats/shots-csv.md)."""

from .check import Question, against_flight, here_already, speeds_together
from .columns import Column, check_mapping, guess_mapping, questions
from .file import Opened, open_bytes, open_text
from .parse import Parsed, ParsedShot, RowProblem, RunSaid, parse_shots
from .sheet import Sheet, sheet_of

__all__ = [
    "Column", "Opened", "Parsed", "ParsedShot", "Question", "RowProblem", "RunSaid", "Sheet", "against_flight",
    "check_mapping", "guess_mapping", "here_already", "open_bytes", "open_text", "parse_shots", "questions", "sheet_of",
    "speeds_together",
]  # fmt: skip

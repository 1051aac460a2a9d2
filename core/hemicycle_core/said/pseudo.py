"""A language no one speaks, made from English: with accents and longer by two fifths, so that what is not in the
catalogue stands out and what is too narrow for another language breaks."""

from __future__ import annotations

from fluent.syntax import ast
from fluent.syntax.visitor import Transformer

PSEUDO = "en-x-pseudo"
ACCENTS = str.maketrans("aceinouyACEINOUY", "åçéîñöüýÅÇÉÎÑÖÜÝ")
LONGER = 0.4
FILL = "~~~~~~~ "  # again and again: words as long as others, which break as others do


def accented(text: str) -> str:
    """Each word with accents, and each run of words longer; the same rule as in the browser."""
    letters = sum(each.isalpha() for each in text)
    if not letters:
        return text
    more = max(1, round(letters * LONGER))
    fill = (FILL * more)[:more].rstrip()
    body = text.rstrip()
    return body.translate(ACCENTS) + fill + text[len(body) :]


class Pseudo(Transformer):
    def visit_TextElement(self, node: ast.TextElement) -> ast.TextElement:  # noqa: N802
        return ast.TextElement(accented(node.value))

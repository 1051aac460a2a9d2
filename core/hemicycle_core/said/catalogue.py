"""The catalogue: every sentence and label of the product, once, in Fluent, a file for each part of the work."""

from __future__ import annotations

import re
from functools import cache
from importlib.resources import files
from typing import Any

from fluent.runtime import FluentBundle, FluentResource
from fluent.syntax import ast
from fluent.syntax.visitor import Visitor

from .pseudo import PSEUDO, Pseudo
from .spoken import FUNCTIONS

ENTRY = re.compile(r"^(?=([a-z][\w-]*) *=)", re.MULTILINE)  # where a message begins


@cache
def _texts(language: str) -> dict[str, str]:
    """Each message as it is written, by its name: to read all of them takes longer than to serve a page. Raises
    ValueError for one that stands twice."""
    folder = files(__package__) / ("en" if language == PSEUDO else language)
    # What stands in `screen` are the labels of the browser, which reads both: nothing here says them.
    parts = sorted((each for each in folder.iterdir() if each.is_file()), key=lambda each: each.name)
    found: dict[str, str] = {}
    for part in parts:
        _, *entries = ENTRY.split(part.read_text("utf-8"))
        for name, text in zip(entries[::2], entries[1::2], strict=True):
            if name in found:
                raise ValueError(f"the message {name} stands twice in the catalogue")
            found[name] = text
    return found


def _read(language: str, text: str) -> ast.Resource:
    """One message. Raises ValueError for one that cannot be read."""
    resource: ast.Resource = FluentResource(text)
    for entry in resource.body:
        if isinstance(entry, ast.Junk):
            raise ValueError(f"the catalogue cannot be read: {entry.content}")
    made: ast.Resource = Pseudo().visit(resource) if language == PSEUDO else resource
    return made


class Catalogue:
    """The messages of a language, each read when it is first said. None stands in another."""

    def __init__(self, language: str) -> None:
        self.language, self.texts = language, _texts(language)
        self.bundle = FluentBundle([language.partition("-x-")[0]], functions=FUNCTIONS, use_isolating=False)

    def has_message(self, name: str) -> bool:
        return name in self.texts

    def get_message(self, name: str) -> Any:
        """Raises KeyError for a message that there is not and ValueError for one that cannot be read."""
        if not self.bundle.has_message(name):
            self.bundle.add_resource(_read(self.language, self.texts[name]))
        return self.bundle.get_message(name)

    def format_pattern(self, pattern: Any, values: dict[str, Any]) -> tuple[Any, list[Exception]]:
        return self.bundle.format_pattern(pattern, values)


@cache
def catalogue(language: str = "en") -> Catalogue:
    """The words of a language. Raises ValueError for a message that stands twice."""
    return Catalogue(language)


class _Variables(Visitor):
    def __init__(self) -> None:
        self.names: set[str] = set()

    def visit_MessageReference(self, node: ast.MessageReference) -> None:  # noqa: N802
        raise ValueError(f"a message stands in another: {node.id.name}")

    def visit_TermReference(self, node: ast.TermReference) -> None:  # noqa: N802
        raise ValueError(f"a term stands in a message: {node.id.name}")

    def visit_VariableReference(self, node: ast.VariableReference) -> None:  # noqa: N802
        self.names.add(node.id.name)


def messages_in(language: str = "en") -> dict[str, frozenset[str]]:
    """Each message with the names of the values it is said with. Raises ValueError for one that cannot be
    read, and for one that another stands in."""
    found: dict[str, frozenset[str]] = {}
    for name, text in _texts(language).items():
        variables = _Variables()
        variables.visit(_read(language, text))
        found[name] = frozenset(variables.names)
    return found

"""The catalogue: every sentence and label of the product, once, in Fluent, a file for each part of the work."""

from __future__ import annotations

from functools import cache
from importlib.resources import files

from fluent.runtime import FluentBundle, FluentResource
from fluent.syntax import ast
from fluent.syntax.visitor import Visitor

from .pseudo import PSEUDO, Pseudo
from .spoken import FUNCTIONS


@cache
def _resources(language: str) -> tuple[ast.Resource, ...]:
    folder = files(__package__) / ("en" if language == PSEUDO else language)
    # What stands in `screen` are the labels of the browser, which reads both: nothing here says them.
    parts = sorted((each for each in folder.iterdir() if each.is_file()), key=lambda each: each.name)
    texts = [each.read_text("utf-8") for each in parts]
    resources = [FluentResource(text) for text in texts]
    return tuple(Pseudo().visit(each) if language == PSEUDO else each for each in resources)


@cache
def catalogue(language: str = "en") -> FluentBundle:
    """The words of a language. Raises ValueError for a message that cannot be read or stands twice."""
    bundle = FluentBundle([language.partition("-x-")[0]], functions=FUNCTIONS, use_isolating=False)
    for resource in _resources(language):
        for entry in resource.body:
            if isinstance(entry, ast.Junk):
                raise ValueError(f"the catalogue cannot be read: {entry.content}")
            if isinstance(entry, ast.Message) and bundle.has_message(entry.id.name):
                raise ValueError(f"the message {entry.id.name} stands twice in the catalogue")
            if isinstance(entry, ast.Message | ast.Term):
                bundle.add_resource(ast.Resource([entry]))
    return bundle


class _Variables(Visitor):
    def __init__(self) -> None:
        self.names: set[str] = set()

    def visit_VariableReference(self, node: ast.VariableReference) -> None:  # noqa: N802
        self.names.add(node.id.name)


def messages_in(language: str = "en") -> dict[str, frozenset[str]]:
    """Each message with the names of the values it is said with."""
    found: dict[str, frozenset[str]] = {}
    for resource in _resources(language):
        for entry in resource.body:
            if isinstance(entry, ast.Message):
                variables = _Variables()
                variables.visit(entry)
                found[entry.id.name] = frozenset(variables.names)
    return found

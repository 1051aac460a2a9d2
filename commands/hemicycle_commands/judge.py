"""`./hemicycle judge BUNDLE.json`: the verdicts on a session bundle, as JSON (docs/formats/session-bundle.md)."""

from __future__ import annotations

import argparse
import contextlib
import json
import sys
from pathlib import Path

from hemicycle_core.errors import BadInput
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.formats.bundle_schema import SCHEMA
from hemicycle_core.formats.json_text import MOST_BYTES, read_json


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle judge", description=__doc__)
    parser.add_argument("file", type=Path, nargs="?", help="a session bundle; - reads standard input")
    parser.add_argument("--schema", action="store_true", help="print the JSON Schema of a bundle instead")
    options = parser.parse_args(words)
    if options.schema:
        print(json.dumps(SCHEMA, indent=2))
        return 0
    if options.file is None:
        parser.print_usage(sys.stderr)
        return 2
    try:
        given = contextlib.nullcontext(sys.stdin.buffer) if str(options.file) == "-" else options.file.open("rb")
        with given as file:
            data = file.read(MOST_BYTES + 1)
        print(json.dumps(read_bundle(read_json(data)).answer(), indent=2, ensure_ascii=False))
    except OSError as error:
        print(f"{options.file} cannot be read: {error.strerror}.", file=sys.stderr)
    except BadInput as error:
        print(f"{options.file}: {error}", file=sys.stderr)
    else:
        return 0
    return 2


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))

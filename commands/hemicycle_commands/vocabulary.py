"""`./hemicycle vocabulary`: the words, units and ranges of the core as the front end reads them."""

from __future__ import annotations

import json
import sys

from hemicycle_core.vocabulary import vocabulary

HEAD = 'import { read } from "../said/words";\n\n'
HEAD += "/** Printed by `./hemicycle vocabulary` from the core: words, units and ranges. Not to be edited. */\n"


def printed() -> str:
    return f"{HEAD}export const VOCABULARY = read({json.dumps(vocabulary(), ensure_ascii=False, indent=1)} as const);\n"


def main() -> int:
    sys.stdout.write(printed())
    return 0


if __name__ == "__main__":
    sys.exit(main())

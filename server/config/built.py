"""How long a browser keeps what was built."""

import re
from collections.abc import MutableMapping

WITH_ITS_CONTENT = re.compile(r"/static/.+-[A-Za-z0-9_-]{8}\.\w+$")


def kept_for_good(headers: MutableMapping[str, str], _path: str, url: str) -> None:
    """A file with its content in its name never changes: it is not asked for again."""
    if WITH_ITS_CONTENT.match(url):
        headers["Cache-Control"] = "max-age=31536000, public, immutable"

"""What columns, units and lines of a shots file may be called, as monitors and people write them.

A header is matched by all of its words, never by a part of them: `Spin Loft` is no spin, `Landing Height` no angle.
"""

from __future__ import annotations

import re
import unicodedata

from ...units import UNITS, Quantity

CLUB, PLAYER, IGNORE = "club", "player", ""

# By reading, all that a header may say of it. English first, then German, French, Spanish.
NAMES: dict[str, tuple[str, ...]] = {
    "club_speed_mps": (
        "club speed", "clubhead speed", "club head speed", "head speed", "swing speed", "schlägerkopfgeschwindigkeit",
        "schlägergeschwindigkeit", "vitesse club", "vitesse de club", "vitesse tête de club", "velocidad del palo",
    ),
    "ball_speed_mps": (
        "ball speed", "ball velocity", "ballgeschwindigkeit", "vitesse balle", "vitesse de balle",
        "velocidad de la bola", "velocidad de bola",
    ),
    "launch_deg": (
        "launch angle", "launch", "vertical launch", "launch vertical", "launch vert", "vert launch", "launch ang",
        "vertical launch angle", "launch angle vertical", "vertical angle", "launch v", "vla", "abflugwinkel",
        "startwinkel", "angle de lancement", "angle de décollage", "ángulo de lanzamiento",
    ),
    "direction_deg": (
        "launch direction", "start direction", "direction", "horizontal launch", "launch horizontal", "launch horiz",
        "horiz launch", "horizontal launch angle", "launch angle horizontal", "horizontal angle", "side angle",
        "azimuth", "launch dir", "launch h", "hla", "startrichtung", "abflugrichtung", "direction de départ",
        "dirección de lanzamiento",
    ),
    "spin_rpm": (
        "spin", "spin rate", "spinrate", "total spin", "spin total", "ball spin", "gesamtspin", "spinrate gesamt",
        "taux de spin", "spin de balle", "tasa de giro",
    ),
    "axis_deg": (
        "spin axis", "spin axis angle", "spin tilt", "spin axis tilt", "tilt axis", "axis", "spinachse", "axe de spin",
        "eje de giro",
    ),
    "attack_deg": (
        "attack angle", "angle of attack", "attack", "aoa", "attack ang", "eintreffwinkel", "angle d attaque",
        "angle attaque", "ángulo de ataque",
    ),
    "path_deg": ("club path", "swing path", "path", "clubhead path", "schwungpfad", "chemin de club", "chemin du club"),
    "face_deg": (
        "face angle", "face to target", "club face", "clubface", "face", "clubface angle", "club face angle",
        "schlagflächenwinkel", "angle de face",
    ),
    "dynamic_loft_deg": ("dynamic loft", "delivered loft", "dyn loft", "dynamischer loft", "loft dynamique"),
    "carry_m": (
        "carry", "carry distance", "carry dist", "distance carry", "carry length", "flugweite", "carryweite",
        "distance de carry", "distancia de vuelo",
    ),
    "total_m": (
        "total", "total distance", "total dist", "distance total", "total length", "gesamtweite", "gesamtlänge",
        "distance totale", "distancia total",
    ),
    "offline_m": (
        "offline", "off line", "side", "side distance", "lateral", "lateral distance", "side carry", "carry side",
        "offline distance", "carry offline", "seitenabweichung", "écart latéral", "desviación lateral",
    ),
    "peak_m": (
        "peak height", "apex", "apex height", "max height", "maximum height", "height", "peak", "max altitude",
        "max höhe", "maximale höhe", "scheitelhöhe", "gipfelhöhe", "hauteur max",
        "hauteur maximale", "flèche", "altura máxima",
    ),
    "landing_deg": (
        "landing angle", "descent angle", "land angle", "angle of descent", "landing ang", "descent", "landewinkel",
        "angle d atterrissage", "angle de descente", "ángulo de descenso",
    ),
    "hang_s": (
        "hang time", "flight time", "time of flight", "air time", "airtime", "hangtime", "flugzeit", "temps de vol",
        "tiempo de vuelo",
    ),
    CLUB: (
        "club", "club name", "club type", "club used", "club hit", "schläger", "schlägertyp", "palo", "type de club",
    ),
    PLAYER: (
        "player", "player name", "golfer", "golfer name", "customer", "user", "spieler", "joueur", "jugador",
    ),
    "strike": ("strike", "contact", "impact location", "strike location"),
    "intent": ("intent", "shot type"),
    "lie": ("lie", "surface"),
}  # fmt: skip
# Columns that say something near a reading and are none of ours; they are left out without a question.
OTHERS = frozenset((
    "spin loft", "smash", "smash factor", "smashfactor", "face to path", "face angle to path", "landing height",
    "landing speed", "land speed", "impact height", "impact offset", "impact speed", "low point", "low point distance",
    "closure rate", "club closure", "closure", "side spin", "sidespin", "swing plane", "swing direction", "dynamic lie",
    "lie angle", "launch ratio", "curve", "curvature", "side total", "total side", "distance to pin", "ball",
    "ball type",
    "carry efficiency", "distance efficiency", "efficiency", "peak time", "apex distance", "max height distance",
    "tempo", "roll", "roll out", "run", "runout", "score", "shot", "shot no", "shot number", "shot nr", "no", "nr",
    "number", "date", "time", "timestamp", "time stamp", "session", "session name", "device", "bay", "notes", "comment",
    "comments", "tags", "tag", "elevation", "temperature", "humidity", "loft", "stated loft", "schlag", "schlag nr",
    "datum",
    "uhrzeit", "coup", "heure", "remarks", "sequence", "shot id", "id", "hand", "handedness", "brand", "model", "shaft",
    "wind", "altitude", "impact x", "impact y", "lateral impact", "club speed at landing", "target", "target distance",
    "dispersion", "quality", "rating", "face impact", "gyro spin", "rifle spin", "schläger nr",
))  # fmt: skip
# Names that may mean a reading and may mean something else: asked, where no other column gives it.
MAY_BE: dict[str, tuple[str, ...]] = {
    **dict.fromkeys(("distance", "distanz", "entfernung", "weite", "distancia", "length"), ("carry_m", "total_m")),
    **dict.fromkeys(("deviation", "deviation distance", "abweichung", "écart", "desviación", "left right"),
                    ("offline_m",)),
    **dict.fromkeys(("deviation angle", "winkelabweichung"), ("direction_deg",)),
}  # fmt: skip
SHOT_NUMBERS = frozenset(
    ("shot", "shot no", "shot number", "shot nr", "no", "nr", "number", "schlag", "schlag nr", "coup")
)

UNIT_WORDS = {
    "yd": "yd", "yds": "yd", "yard": "yd", "yards": "yd", "m": "m", "mtr": "m", "metre": "m", "metres": "m",
    "meter": "m", "meters": "m", "mètres": "m", "metros": "m", "ft": "ft", "feet": "ft", "foot": "ft", "fuß": "ft",
    "mph": "mph", "mi/h": "mph", "km/h": "kmh", "kmh": "kmh", "kph": "kmh", "m/s": "mps", "mps": "mps",
    "deg": "deg", "degs": "deg", "degree": "deg", "degrees": "deg", "grad": "deg", "°": "deg",
    "rpm": "rpm", "u/min": "rpm", "1/min": "rpm", "tr/min": "rpm", "rev/min": "rpm",
    "s": "s", "sec": "s", "secs": "s", "second": "s", "seconds": "s", "sek": "s",
}  # fmt: skip
# A quantity that has one unit in golf needs none to be written.
ONLY_UNIT = {Quantity.ANGLE: "deg", Quantity.SPIN: "rpm", Quantity.TIME: "s"}
SIDES = {"l": -1, "left": -1, "links": -1, "r": 1, "right": 1, "rechts": 1}
SUMMARY = (
    "average", "averages", "avg", "mean", "median", "std dev", "std", "stdev", "std deviation", "standard deviation",
    "deviation", "dev", "min", "max", "minimum", "maximum", "range", "consistency", "summary", "sum", "total",
    "best", "worst", "ø", "mittelwert", "durchschnitt", "schnitt", "standardabweichung", "abweichung", "moyenne",
    "écart type", "media", "promedio", "desviación",
)  # fmt: skip
NOBODY = frozenset(("", "-", "--", "---", "–", "—", "n/a", "na", "nan", "null", "none", "n.a."))


def plain(words: str) -> str:
    """Lower case, one blank between words, marks and brackets gone: `ClubSpeed_[mph]` to `club speed`."""
    text = unicodedata.normalize("NFC", words)
    text = re.sub(r"[\[({].*?[\])}]", " ", text)
    text = re.sub(r"(?<=[a-zà-ÿ])(?=[A-Z])", " ", text)
    return " ".join(re.findall(r"[^\W\d_]+|\d+", text.lower()))


def unit_of(words: str, quantity: Quantity | None = None) -> str | None:
    """The suffix of the one unit that some words are, brackets and marks aside; None for no unit or one of another
    quantity."""
    text = words.strip().strip("[](){}").strip().lower().rstrip(".")
    suffix = UNIT_WORDS.get(text)
    return suffix if suffix and (quantity is None or UNITS[suffix].quantity is quantity) else None


def unit_in(header: str) -> str | None:
    """The unit that a header names, in brackets or as its last word."""
    found = [unit for inside in re.findall(r"[\[({](.*?)[\])}]", header) for part in re.split(r"[,;]", inside)
             if (unit := unit_of(part))]  # fmt: skip
    if found:
        return found[0]
    last = re.split(r"[\s_,]+", header.strip())[-1]
    return unit_of(last.strip("-–")) if len(header.split()) > 1 or "_" in header or "," in header else None


def named(header: str) -> str:
    """All that a header says beside its unit."""
    words = plain(header)
    parts = words.split()
    if len(parts) > 1 and parts[-1] in UNIT_WORDS:
        parts = parts[:-1]
    elif len(parts) > 2 and "/".join(parts[-2:]) in UNIT_WORDS:
        parts = parts[:-2]
    return " ".join(parts)


def reading_named(header: str) -> str:
    """The reading, or `club`, `player` and the like, that a header names by all of its words; empty for none."""
    return BY_NAME.get(named(header), IGNORE)


def readings_near(header: str) -> tuple[str, ...]:
    """The readings that a header which names none may mean: by what it says, or as their name is part of it."""
    words = f" {named(header)} "
    if named(header) in OTHERS:
        return ()
    if named(header) in MAY_BE:
        return MAY_BE[named(header)]
    found = [key for key, names in NAMES.items() if any(f" {name} " in words for name in names)]
    return tuple(key for key in found if key.rpartition("_")[0])


def is_summary(cell: str, *, wholly: bool = False) -> bool:
    """Whether a cell names an average, a deviation or the like. wholly: nothing else may stand beside it."""
    text = plain(cell) or cell.strip().lower()
    if wholly:
        return text in SUMMARY
    return any(text == word or text.startswith(f"{word} ") for word in SUMMARY)


BY_NAME = {name: key for key, names in NAMES.items() for name in names}

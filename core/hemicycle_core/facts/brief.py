"""What the interview found: the player's wishes and limits, and the shots they play. Lengths in metres."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from decimal import Decimal
from typing import Literal, TypeVar

from ..bag import BagEnd, HeadType
from ..brief import Fear, Feared, Job, JobKind, Miss
from ..brief.jobs import WINDIEST_MPS
from ..errors import BadInput
from ..flight import Firmness
from ..flight.landing import EVERYDAY_FT, FASTEST_FT, SLOWEST_FT, green_reading
from ..impact import Lie
from ..judge import Liking
from ..said import money, say, speed
from ..thresholds import LEAST_STROKE, MOST_ROUND, MOST_STROKE, ROUND_BANDS
from ..wedges import School, WedgeWish
from .values import REQUIRED, check, value

Sand = Literal["", "soft", "firm"]
Shape = Literal["any", "straight", "draw", "fade"]
DeliveryWord = Literal["", "steep", "middling", "shallow"]
MOST_COURSES, MOST_JOBS, MOST_MAKERS, MOST_MAKER = 6, 24, 12, 60


@dataclass(frozen=True)
class BriefJob:
    """A shot the player meets; see `hemicycle_core.brief.Job`. course: where, empty for everywhere. lie: in words."""

    name: str = value(REQUIRED, longest=60, erased=None)
    kind: JobKind = value(REQUIRED, longest=8)
    distance_m: float = value(REQUIRED)
    carry_over_m: float | None = value(None)
    width_m: float = value(25.0)
    depth_m: float = value(25.0)
    firmness: Firmness = value(Firmness.MEDIUM, longest=8)
    uses_per_round: float = value(1.0)
    course: str = value("", longest=40, erased="", help="Where it is met; empty: everywhere.")
    lie: str = value("", longest=12)
    green_ft: float = value(EVERYDAY_FT, help="Reading of the standard meter.")
    wind_mps: float = value(0.0)
    wind_from_deg: float | None = value(0.0, help="0 against, 90 from the right; null: any side.")

    def played(self, share: float = 1.0, course_wind_mps: float = 0.0) -> Job:
        """As it is played out. share: of the rounds, in which it comes up at all; course_wind_mps: that blows from any
        side where it comes up, and counts where the job has none of its own."""
        own = bool(self.wind_mps) or not course_wind_mps
        return Job(
            name=self.name,
            kind=JobKind(self.kind),
            distance_m=self.distance_m,
            firmness=Firmness(self.firmness),
            carry_over_m=self.carry_over_m,
            width_m=self.width_m,
            depth_m=self.depth_m,
            green_ft=self.green_ft,
            uses_per_round=self.uses_per_round * share,
            lie=lie_of(self.lie),
            wind_mps=self.wind_mps if own else course_wind_mps,
            wind_from_deg=self.wind_from_deg if own else None,
        )


def lie_of(words: str) -> Lie | None:
    """A lie as the brief words it."""
    word = words.replace("-", "_")
    return Lie(word) if word in set(Lie) else None


@dataclass(frozen=True)
class Course:
    """Where they play. kind: home, trip or season; share: of their rounds, in 100; green_ft: how fast the greens are,
    the meter's reading in feet; sand: what their bunkers hold, empty for not said; wind_mps: that usually blows there,
    from any side."""

    name: str
    kind: Literal["home", "trip", "season"]
    firmness: Firmness
    share: float
    green_ft: float = EVERYDAY_FT
    sand: Sand = ""
    wind_mps: float = 0.0


@dataclass(frozen=True)
class Brief:
    """What the interview found but for the jobs. likes: by head type, maker_likes: by maker; fear_with: kinds of heads
    with which the miss is feared, empty for all; stroke_price: what a stroke is worth, round_shots: shots a round in
    each of `ROUND_BANDS`, None and empty for what the shop says."""

    miss: Miss = value(Miss.NONE, say("field-miss"), longest=8, lasting=True)
    firmness: Firmness = value(Firmness.MEDIUM, say("field-firmness"), longest=8, lasting=True)
    most_clubs: int = value(
        14, say("field-most-clubs"), least=1, most=20, range_words=say("brief-clubs-carried-between"), lasting=True
    )
    budget: Decimal | None = value(
        None, say("field-budget"), longest=8, least=0, range_words=say("brief-budget-is-nought-or-more")
    )
    pain: bool = value(False, say("field-pain"), erased=False)
    notes: str = value("", say("field-notes"), longest=20_000, erased="")
    shape: Shape = value("any", say("field-shape"), longest=8, lasting=True)
    courses: Sequence[Course] = value(
        (),
        say("field-courses"),
        erased=(),
        lasting=True,
        items=MOST_COURSES,
        range_words=say("brief-most-courses", most=MOST_COURSES),
        help="Where they play: name, kind, ground, green speed, share of the rounds.",
    )
    lies: Sequence[str] = value(
        (), say("field-lies"), erased=(), lasting=True, help="Lies they play these clubs from, in words."
    )
    likes: Mapping[HeadType, Liking] = value(
        dict, say("field-likes"), lasting=True, help="By head type: liked, disliked or vetoed."
    )
    fear: Fear = value(
        Fear.HALF, say("field-fear"), longest=8, lasting=True, help="What the miss to avoid costs on top."
    )
    end: BagEnd = value(BagEnd.WHOLE, say("field-end"), longest=5, help="Worked at.")
    school: School = value(School.SHORTEST, say("field-school"), longest=9, lasting=True)
    delivery: DeliveryWord = value(
        "", say("field-delivery"), longest=8, lasting=True, help="As the fitter called it from divots."
    )
    wedge_wishes: Sequence[WedgeWish] = value(
        (), say("field-wedge-wishes"), help="What the player wants of the wedges."
    )
    sole: str = value(
        "", say("field-sole"), longest=60, erased="", help="Chosen for the most lofted wedge; empty: not yet."
    )
    stroke_price: Decimal | None = value(
        None,
        say("field-stroke-price"),
        longest=9,
        lasting=True,
        least=LEAST_STROKE,
        most=MOST_STROKE,
        range_words=say("brief-stroke-is-worth", least=money(LEAST_STROKE), most=money(MOST_STROKE)),
        help="What a stroke a round is worth; null: as the shop says.",
    )
    round_shots: Sequence[float] = value(
        (), say("field-round-shots"), lasting=True, help="Shots a round by length; empty: as the shop says."
    )
    fear_with: Sequence[HeadType] = value(
        (),
        say("field-fear-with"),
        lasting=True,
        help="Kinds of heads with which that miss is feared; empty: all.",
    )
    maker_likes: Mapping[str, Liking] = value(
        dict, say("field-maker-likes"), erased={}, lasting=True, help="The same by maker."
    )

    @property
    def feared(self) -> Feared:
        return Feared(self.miss, self.fear, tuple(self.fear_with))

    @property
    def shares(self) -> dict[str, float]:
        """The share of the rounds by course, summing to 1; empty where they play one course."""
        named = {course.name: float(course.share) for course in self.courses if course.share > 0}
        total = sum(named.values())
        return {name: share / total for name, share in named.items()} if len(named) > 1 else {}


Made = TypeVar("Made", bound=Brief)


def tidied(brief: Made) -> Made:
    """A brief as it is kept: names without blanks around them, nothing twice, nothing said that says nothing. Raises
    BadInput for what no brief holds, with the field."""
    courses = tuple(replace(course, name=course.name.strip()) for course in brief.courses)
    makers = {maker.strip(): Liking(liking) for maker, liking in brief.maker_likes.items() if maker.strip()}
    if len(makers) > MOST_MAKERS or any(len(maker) > MOST_MAKER for maker in makers):
        raise BadInput(say("brief-most-makers", most=MOST_MAKERS), field="maker_likes")
    made = replace(
        brief,
        courses=courses,
        likes={_kind(kind): Liking(liking) for kind, liking in brief.likes.items()},
        wedge_wishes=tuple(dict.fromkeys(map(WedgeWish, brief.wedge_wishes))),
        maker_likes={maker: liking for maker, liking in makers.items() if liking is not Liking.NEUTRAL},
    )
    check(made)
    _check_round(made.round_shots)
    for index, course in enumerate(courses):
        _check_course(course, [each.name for each in courses[:index]], f"courses.{index}")
    return made


def _kind(word: str) -> HeadType:
    if word not in set(HeadType):
        raise BadInput(say("brief-no-kind-of-head", word=word), field="likes")
    return HeadType(word)


def _check_round(shots: Sequence[float]) -> None:
    if shots and len(shots) != len(ROUND_BANDS):
        raise BadInput(say("brief-figures-of-a-round", n=len(ROUND_BANDS)), field="round_shots")
    if any(not 0 <= each <= MOST_ROUND for each in shots) or (shots and not any(shots)):
        raise BadInput(say("brief-shots-of-a-round", most=MOST_ROUND), field="round_shots")


def _check_course(course: Course, before: Sequence[str], field: str) -> None:
    if not course.name or course.name in before:
        raise BadInput(say("brief-course-needs-a-name"), field=f"{field}.name")
    if not 0 <= course.share <= 100:
        raise BadInput(say("brief-share-of-the-rounds"), field=f"{field}.share")
    if not 0 <= course.wind_mps <= WINDIEST_MPS:
        raise BadInput(say("brief-wind-up-to", most=speed(WINDIEST_MPS)), field=f"{field}.wind_mps")
    if not SLOWEST_FT <= course.green_ft <= FASTEST_FT:
        low, high = (green_reading(each) for each in (SLOWEST_FT, FASTEST_FT))
        raise BadInput(say("green-reads-between", low=low, high=high), field=f"{field}.green_ft")


def jobs_of(brief: Brief, jobs: Sequence[BriefJob]) -> list[Job]:
    """The jobs with their uses in a usual round: what comes up on one course only counts by its share."""
    shares = brief.shares
    wind = {course.name: course.wind_mps for course in brief.courses}
    return [job.played(shares.get(job.course, 1.0), wind.get(job.course, 0.0)) for job in jobs]

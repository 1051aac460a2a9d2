/** The fields of the interview in the reader’s units, and the way to and from what the API holds. */
import type { Fear, Session } from "../../api/client";
import { t } from "../../said/words";
import { toFar, toSpeed, typedIn, whole } from "../../ui/units";

export type Kind = "green" | "tee" | "layup";
export type Firmness = "soft" | "medium" | "firm";
export const FIRMNESS: Record<Firmness, string> = {
	soft: t("label-soft"),
	medium: t("label-medium"),
	firm: t("label-firm"),
};
export type MissSide = "none" | "left" | "right" | "short" | "long";
export type Liking = "liked" | "neutral" | "disliked" | "vetoed";
export type BagEnd = Session["brief"]["end"];
export type HeadKind = "fairway" | "hybrid" | "utility";

export interface JobFields {
	name: string;
	kind: Kind;
	distance: number;
	/** 0 for nothing to carry. */
	over: number;
	width: number;
	depth: number;
	firmness: Firmness;
	/** How fast the green is: feet on the meter. */
	greenFt: number;
	uses: number;
	course: string;
	lie: string;
	/** 0 for none. */
	windSpeed: number;
	windFrom: WindFrom;
	/** What the fields were filled from: a job that nobody touched goes back as it was, in whatever units it is read. */
	stood?: Pick<Session["brief"]["jobs"][number], Exact>;
}
type Exact = "distance_m" | "carry_over_m" | "width_m" | "depth_m" | "wind_mps";
/** Where the wind comes from: against the shot, from the right, behind, from the left, or from any side. */
export type WindFrom = "0" | "90" | "180" | "270" | "any";
export const WINDS: Record<WindFrom, string> = {
	"0": t("brief-into-wind"),
	"180": t("brief-wind-behind"),
	"270": t("brief-wind-from-left"),
	"90": t("brief-wind-from-right"),
	any: t("brief-from-any-side"),
};
export interface CourseFields {
	name: string;
	kind: "home" | "trip" | "season";
	firmness: Firmness;
	greenFt: number;
	sand: "" | "soft" | "firm";
	share: number;
	windSpeed: number;
	stood?: number;
}
export interface Fields {
	miss: MissSide;
	fear: Fear;
	shape: "any" | "straight" | "draw" | "fade";
	firmness: Firmness;
	mostClubs: number;
	budget: string;
	pain: boolean;
	notes: string;
	jobs: JobFields[];
	courses: CourseFields[];
	lies: string[];
	likes: Record<HeadKind, Liking>;
	end: BagEnd;
	delivery: Session["brief"]["delivery"];
	wedgeWishes: string[];
	/** Empty for what the shop says. */
	strokePrice: string;
	/** Shots a round by length, empty for what the shop says. */
	roundShots: number[];
	/** Kinds of heads with which the miss is feared, none for all. */
	fearWith: HeadKind[];
	makerLikes: Record<string, Liking>;
}

/** The fields as the API names them, and as the form does. */
export const NAMES = {
	miss: "miss",
	fear: "fear",
	shape: "shape",
	firmness: "firmness",
	most_clubs: "mostClubs",
	budget: "budget",
	pain: "pain",
	notes: "notes",
	courses: "courses",
	lies: "lies",
	likes: "likes",
	jobs: "jobs",
	end: "end",
	delivery: "delivery",
	wedge_wishes: "wedgeWishes",
	stroke_price: "strokePrice",
	round_shots: "roundShots",
	fear_with: "fearWith",
	maker_likes: "makerLikes",
} as const satisfies Record<string, keyof Fields>;
export type Name = keyof typeof NAMES;

/** What greens read on an ordinary day, where nothing else was said. */
export const EVERYDAY_FT = 10;
export const LIES = ["tee", "fairway", "semi-rough", "rough", "tight", "soft", "wet", "slope", "sand"];
export const HEADS: Record<HeadKind, string> = {
	fairway: t("label-fairway-woods"),
	hybrid: t("label-hybrids"),
	utility: t("label-utility-irons"),
};

export const fieldsOfJob = (job: Session["brief"]["jobs"][number]): JobFields => ({
	name: job.name,
	kind: job.kind,
	distance: whole(toFar(job.distance_m)),
	over: job.carry_over_m === null ? 0 : whole(toFar(job.carry_over_m)),
	width: whole(toFar(job.width_m)),
	depth: whole(toFar(job.depth_m)),
	firmness: job.firmness,
	greenFt: job.green_ft ?? EVERYDAY_FT,
	uses: job.uses_per_round,
	course: job.course ?? "",
	lie: job.lie ?? "",
	windSpeed: whole(toSpeed(job.wind_mps ?? 0)),
	windFrom: fromOf(job.wind_from_deg),
	stood: job,
});

const fromOf = (degrees: number | null | undefined): WindFrom =>
	degrees === null || degrees === undefined
		? "any"
		: (`${(Math.round(degrees / 90) * 90) % 360}` as WindFrom);

export function fieldsOf({ brief }: Session): Fields {
	return {
		miss: brief.miss as MissSide,
		fear: brief.fear,
		shape: brief.shape,
		firmness: brief.firmness as Firmness,
		mostClubs: brief.most_clubs,
		budget: brief.budget ?? "",
		pain: brief.pain,
		notes: brief.notes,
		courses: brief.courses.map(({ green_ft, wind_mps, ...course }) => ({
			...course,
			windSpeed: whole(toSpeed(wind_mps ?? 0)),
			stood: wind_mps ?? 0,
			greenFt: green_ft ?? EVERYDAY_FT,
			sand: course.sand ?? "",
		})),
		lies: brief.lies,
		likes: { fairway: "neutral", hybrid: "neutral", utility: "neutral", ...brief.likes },
		jobs: brief.jobs.map(fieldsOfJob),
		end: brief.end,
		delivery: brief.delivery,
		wedgeWishes: brief.wedge_wishes,
		strokePrice: brief.stroke_price ?? "",
		roundShots: brief.round_shots,
		fearWith: brief.fear_with as HeadKind[],
		makerLikes: brief.maker_likes,
	};
}

export function bodyOf(fields: Fields) {
	return {
		miss: fields.miss,
		fear: fields.fear,
		shape: fields.shape,
		firmness: fields.firmness,
		most_clubs: Number(fields.mostClubs) || 14,
		budget: fields.budget === "" ? null : fields.budget,
		pain: fields.pain,
		notes: fields.notes,
		courses: fields.courses.map(({ greenFt, windSpeed, stood, ...course }) => ({
			...course,
			wind_mps: typedIn("speed", Number(windSpeed) || 0, stood),
			share: Number(course.share) || 0,
			green_ft: Number(greenFt) || EVERYDAY_FT,
		})),
		lies: fields.lies,
		end: fields.end,
		delivery: fields.delivery,
		wedge_wishes: fields.wedgeWishes,
		stroke_price: fields.strokePrice === "" ? null : fields.strokePrice,
		round_shots: fields.roundShots,
		fear_with: fields.fearWith,
		maker_likes: Object.fromEntries(
			Object.entries(fields.makerLikes).filter(([, liking]) => liking !== "neutral"),
		),
		likes: Object.fromEntries(Object.entries(fields.likes).filter(([, liking]) => liking !== "neutral")),
		jobs: fields.jobs.map((each) => ({
			name: each.name,
			kind: each.kind,
			distance_m: typedIn("far", Number(each.distance), each.stood?.distance_m),
			carry_over_m:
				Number(each.over) > 0 ? typedIn("far", Number(each.over), each.stood?.carry_over_m) : null,
			width_m: typedIn("far", Number(each.width), each.stood?.width_m),
			depth_m: typedIn("far", Number(each.depth), each.stood?.depth_m),
			firmness: each.firmness,
			green_ft: Number(each.greenFt) || EVERYDAY_FT,
			uses_per_round: Number(each.uses),
			course: fields.courses.some((course) => course.name === each.course) ? each.course : "",
			lie: each.lie,
			wind_mps: typedIn("speed", Number(each.windSpeed) || 0, each.stood?.wind_mps),
			wind_from_deg: each.windFrom === "any" ? null : Number(each.windFrom),
		})),
	};
}

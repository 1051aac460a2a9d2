/**
 * Side view of the flights, and below it the landing zone yard for yard. Far and feet; right of the
 * target is drawn below the line, as seen from above with the shot going to the right.
 */
import { scaleLinear } from "d3-scale";
import { useId } from "react";
import { t } from "../../said/words";
import { Letter, letterColour } from "../../ui/Letter";
import { figure, sideWords, unit, whole } from "../../ui/units";
import { spanOf, ticks } from "../scale";

export interface BoardClub {
	letter: string;
	name: string;
	/** The carry window it is judged by. */
	window?: { low: number; high: number } | undefined;
	/** Downrange yards and height in feet. */
	path: [number, number][];
	carry: number;
	total: number;
	/** Null where no line was read: then nothing of it stands in the landing zone. */
	offline: number | null;
	/** Offline, carry. */
	shots: { carry: number; offline: number; aside: boolean }[];
	ellipse: {
		carry: number;
		offline: number;
		major: number;
		minor: number;
		tilt: number;
		depth: number;
		width: number;
	} | null;
}

export interface FlightBoardProps {
	clubs: BoardClub[];
	/** Clubs of the bag on both sides, drawn in ink. */
	neighbours: BoardClub[];
	windows: { low: number; high: number }[];
}

interface Band {
	letter: string;
	low: number;
	high: number;
}

/** The windows that the clubs shown are judged by, each its own; the slots' where no club has one yet. */
const bandsOf = (clubs: BoardClub[], windows: FlightBoardProps["windows"]): Band[] => {
	const own = clubs.flatMap(({ letter, window }) => (window ? [{ letter, ...window }] : []));
	return own.length ? own : windows.map((window) => ({ letter: "", ...window }));
};

const WIDTH = 860;
const LEFT = 44;
const ZONE_WIDTH = 400;
const ZONE_HEIGHT = 230;
const ZONE_TOP = 9;

export function FlightBoard(props: FlightBoardProps) {
	const unread = props.clubs.filter((club) => club.offline === null);
	const named = (clubs: BoardClub[]) => clubs.map((club) => club.letter || club.name).join(", ");
	const flat = props.clubs.filter((club) => club.path.length === 0);
	// A picture of no flight at all is none.
	const any = [...props.clubs, ...props.neighbours].some((club) => club.path.length > 0);
	return (
		<div>
			{(any || flat.length === 0) && <SideView {...props} />}
			{flat.length > 0 && (
				<p className="hole-text my-2">{t("flight-board-height-not-read-so-no", { flat: named(flat) })}</p>
			)}
			<div className="flex flex-wrap items-start gap-x-5 gap-y-2">
				<LandingZones {...props} />
				<Patterns clubs={props.clubs} />
				{unread.length > 0 && (
					<p className="hole-text max-w-60 self-center">
						{t("flight-board-direction-not-read-so-nothing", { unread: named(unread) })}
					</p>
				)}
			</div>
		</div>
	);
}

/** The flights from the side; heights are stretched against distances, as the axes say. */
export function SideView({
	clubs,
	neighbours,
	windows,
	height = 214,
}: FlightBoardProps & { height?: number }) {
	const all = [...neighbours, ...clubs];
	const far = spanOf(
		all.map((club) => club.carry),
		20,
		8,
	).high;
	const tall = spanOf(
		all.flatMap((club) => club.path.map(([, z]) => z)),
		30,
		5,
	).high;
	const x = scaleLinear([0, far], [LEFT, WIDTH - 10]);
	const y = scaleLinear([0, tall], [height - 24, 12]);
	return (
		<svg
			viewBox={`0 0 ${WIDTH} ${height}`}
			className="block w-full"
			role="img"
			aria-label={t("flight-board-side-view-flights")}
		>
			{ticks({ low: 0, high: tall }, 30).map((feet) => (
				<g key={feet}>
					<line x1={LEFT} x2={WIDTH - 10} y1={y(feet)} y2={y(feet)} stroke="var(--color-base-300)" />
					<text
						x={LEFT - 6}
						y={y(feet)}
						textAnchor="end"
						dominantBaseline="middle"
						fontSize="12.5"
						fill="var(--quiet)"
					>
						{feet === tall ? `${feet} ${unit("high")}` : feet}
					</text>
				</g>
			))}
			{ticks({ low: 0, high: far }, 40).map((yards) => (
				<text key={yards} x={x(yards)} y={height - 6} textAnchor="middle" fontSize="12.5" fill="var(--quiet)">
					{yards === 0 ? `0 ${unit("far")}` : yards}
				</text>
			))}
			{bandsOf(clubs, windows).map((band, index) => (
				<g key={`${band.letter}${band.low}`}>
					<rect
						x={x(band.low)}
						width={x(band.high) - x(band.low)}
						y="6"
						height={height - 30}
						fill="var(--window)"
						fillOpacity={band.letter ? 0.35 : 0.55}
						stroke={band.letter ? "none" : "var(--window-line)"}
					/>
					{band.letter && (
						<rect
							x={x(band.low)}
							width={x(band.high) - x(band.low)}
							y={6 + index * 5}
							height="3"
							fill={letterColour(band.letter)}
						>
							<title>
								{t("flight-board-window-of-to", {
									letter: band.letter,
									low: whole(band.low),
									high: whole(band.high),
								})}
							</title>
						</rect>
					)}
				</g>
			))}
			{neighbours.map((club) => (
				<Track key={club.name} club={club} x={x} y={y} ink />
			))}
			{clubs.map((club) => (
				<Track key={club.letter} club={club} x={x} y={y} ink={false} />
			))}
		</svg>
	);
}

interface TrackProps {
	club: BoardClub;
	x: (yards: number) => number;
	y: (feet: number) => number;
	ink: boolean;
}

function Track({ club, x, y, ink }: TrackProps) {
	if (club.path.length === 0) return null;
	const line = club.path
		.map(([far, up], index) => `${index ? "L" : "M"}${x(far).toFixed(1)} ${y(up).toFixed(1)}`)
		.join("");
	const end = club.path.at(-1) ?? [0, 0];
	const colour = ink ? "var(--color-base-content)" : letterColour(club.letter);
	// Letters stand apart along the flight, so that close flights keep readable letters.
	const spread = ink ? 0.5 : 0.42 + 0.11 * "ABCDEFGH".indexOf(club.letter);
	const mark = club.path[Math.floor(Math.min(0.85, spread) * (club.path.length - 1))] ?? end;
	return (
		<g>
			<path
				d={line}
				fill="none"
				stroke={colour}
				strokeWidth={ink ? 1.4 : 2.6}
				strokeDasharray={ink ? "2 4" : undefined}
			/>
			{ink ? (
				<text x={x(end[0]) + 5} y={y(0) - 7} fontSize="12.5" fill={colour}>
					{club.name}
				</text>
			) : (
				<Disc letter={club.letter} x={x(mark[0])} y={y(mark[1])} />
			)}
		</g>
	);
}

function Disc({ letter, x, y }: { letter: string; x: number; y: number }) {
	return (
		<g>
			<circle cx={x} cy={y} r="10" fill={letterColour(letter)} />
			<text
				x={x}
				y={y}
				textAnchor="middle"
				dominantBaseline="central"
				fontSize="12.5"
				fontWeight="700"
				fill="var(--on-letter)"
			>
				{letter}
			</text>
		</g>
	);
}

/** The pattern in figures, for what the ellipse shows. */
function Patterns({ clubs }: { clubs: BoardClub[] }) {
	const known = clubs.filter((club) => club.ellipse !== null);
	if (known.length === 0) return null;
	return (
		<table className="table-plain">
			<thead>
				<tr>
					<th scope="col">{t("flight-board-80-shots", { unit: unit("far") })}</th>
					<th scope="col">{t("label-front-back")}</th>
					<th scope="col">{t("label-side-side")}</th>
					<th scope="col">{t("flight-board-middle")}</th>
					<th scope="col">{t("flight-board-roll")}</th>
				</tr>
			</thead>
			<tbody>
				{known.map((club) => (
					<tr key={club.letter}>
						<td>
							<Letter letter={club.letter} size={20} /> {club.name}
						</td>
						<td className="num">{whole(club.ellipse?.depth ?? 0)}</td>
						<td className="num">{whole(club.ellipse?.width ?? 0)}</td>
						<td className="num">{club.offline === null ? t("label-not-read") : sideWords(club.offline)}</td>
						<td className="num">{figure(club.total - club.carry)}</td>
					</tr>
				))}
			</tbody>
		</table>
	);
}

const FAR_APART = 40; // between two carries: further apart, each lies round a target of its own

/** Clubs that lie round one target: together until the next one is far on. */
function roundOneTarget(clubs: BoardClub[]): BoardClub[][] {
	const groups: BoardClub[][] = [];
	let last = Number.NEGATIVE_INFINITY;
	for (const club of [...clubs].sort((one, other) => one.carry - other.carry)) {
		const group = groups.at(-1);
		if (group && club.carry - last <= FAR_APART) group.push(club);
		else groups.push([club]);
		last = club.carry;
	}
	return groups;
}

interface Zone {
	clubs: BoardClub[];
	bands: Band[];
	span: { low: number; high: number };
	wide: number;
}

function zoneOf(clubs: BoardClub[], windows: FlightBoardProps["windows"]): Zone {
	const kept = clubs.flatMap((club) => club.shots.filter((shot) => !shot.aside));
	const bands = bandsOf(clubs, windows);
	const ends = [...bands.flatMap((band) => [band.low, band.high]), ...clubs.map((club) => club.total)];
	// An ellipse is seen whole.
	const around = clubs.flatMap(({ ellipse }) => ellipse ?? []);
	const deep = around.flatMap(({ carry, depth }) => [carry - depth / 2, carry + depth / 2]);
	const aside = around.map(({ offline, width }) => Math.abs(offline) + width / 2);
	const span = spanOf([...kept.map((shot) => shot.carry), ...deep, ...ends], 10, 4);
	return {
		clubs,
		bands,
		span,
		wide: Math.max(12, ...kept.map((shot) => Math.abs(shot.offline)), ...aside) + 3,
	};
}

/** One field, or small frames of one scale where clubs are meant for targets far apart. */
function LandingZones({ clubs, windows }: FlightBoardProps) {
	const groups = roundOneTarget(clubs);
	const zones = groups.map((each) => zoneOf(each, groups.length > 1 ? [] : windows));
	const wide = ZONE_WIDTH / Math.max(zones.length - 1, 1);
	// One scale for both directions and every frame: a yard is a yard.
	const scale = Math.min(
		...zones.map((zone) => Math.min(wide / (2 * zone.wide), ZONE_HEIGHT / (zone.span.high - zone.span.low))),
	);
	return zones.map((zone) => (
		<LandingZone key={zone.clubs.map((club) => club.letter || club.name).join()} {...zone} scale={scale} />
	));
}

/** Seen from behind the player: further is up, right is right. */
function LandingZone({ clubs, bands, span, wide, scale }: Zone & { scale: number }) {
	const id = useId();
	const height = (span.high - span.low) * scale;
	const width = 2 * wide * scale;
	const x = scaleLinear([-wide, wide], [LEFT, LEFT + width]);
	const y = scaleLinear([span.low, span.high], [ZONE_TOP + height, ZONE_TOP]);
	const step = wide > 30 ? 20 : 10;
	return (
		<svg
			viewBox={`0 0 ${LEFT + width + 8} ${height + ZONE_TOP + 24}`}
			className="block shrink-0"
			style={{ width: LEFT + width + 8 }}
			role="img"
			aria-label={t("flight-board-landing-zone-from-above-yard")}
		>
			<clipPath id={id}>
				<rect x={LEFT} y={ZONE_TOP} width={width} height={height} />
			</clipPath>
			<rect x={LEFT} y={ZONE_TOP} width={width} height={height} fill="var(--color-base-100)" />
			{bands.map((band, index) => (
				<g key={`${band.letter}${band.low}`}>
					<rect
						x={LEFT}
						width={width}
						y={y(band.high)}
						height={y(band.low) - y(band.high)}
						fill="var(--window)"
						fillOpacity={band.letter ? 0.35 : 0.55}
						stroke={band.letter ? "none" : "var(--window-line)"}
					/>
					{band.letter && (
						<rect
							x={LEFT + index * 5}
							width="3"
							y={y(band.high)}
							height={y(band.low) - y(band.high)}
							fill={letterColour(band.letter)}
						/>
					)}
				</g>
			))}
			{ticks({ low: -wide, high: wide }, step).map((offline) => (
				<g key={offline}>
					<line
						x1={x(offline)}
						x2={x(offline)}
						y1={ZONE_TOP}
						y2={height + ZONE_TOP}
						stroke={offline ? "var(--color-base-300)" : "var(--quiet)"}
						strokeDasharray={offline ? undefined : "2 4"}
					/>
					<text
						x={x(offline)}
						y={height + ZONE_TOP + 16}
						textAnchor="middle"
						fontSize="12.5"
						fill="var(--quiet)"
					>
						{offline === 0 ? t("flight-board-line") : `${Math.abs(offline)} ${offline < 0 ? "L" : "R"}`}
					</text>
				</g>
			))}
			{ticks(span, 10).map((yards) => (
				<text
					key={yards}
					x={LEFT - 6}
					y={y(yards)}
					textAnchor="end"
					dominantBaseline="middle"
					fontSize="12.5"
					fill="var(--quiet)"
				>
					{yards}
				</text>
			))}
			<g clipPath={`url(#${id})`}>
				{clubs.map((club) => (
					<Landing key={club.letter} club={club} x={x} y={y} scale={scale} />
				))}
			</g>
		</svg>
	);
}

function Landing({
	club,
	x,
	y,
	scale,
}: {
	club: BoardClub;
	x: (v: number) => number;
	y: (v: number) => number;
	scale: number;
}) {
	const colour = letterColour(club.letter);
	if (club.offline === null) return null;
	const across = x(club.offline);
	return (
		<g>
			{club.ellipse && (
				<ellipse
					rx={club.ellipse.major * scale}
					ry={club.ellipse.minor * scale}
					transform={`translate(${x(club.ellipse.offline)} ${y(club.ellipse.carry)}) rotate(${club.ellipse.tilt - 90})`}
					fill={colour}
					fillOpacity="0.12"
					stroke={colour}
					strokeWidth="1.5"
				/>
			)}
			{club.shots.map((shot, index) => (
				<circle
					// biome-ignore lint/suspicious/noArrayIndexKey: shots have no identity here and never reorder
					key={index}
					cx={x(shot.offline)}
					cy={y(shot.carry)}
					r="3.4"
					fill={shot.aside ? "none" : colour}
					stroke={colour}
				/>
			))}
			<line x1={across} x2={across} y1={y(club.carry)} y2={y(club.total)} stroke={colour} strokeWidth="2.4" />
			<line
				x1={across - 5}
				x2={across + 5}
				y1={y(club.total)}
				y2={y(club.total)}
				stroke={colour}
				strokeWidth="2.4"
			/>
			<Disc letter={club.letter} x={across} y={y(club.carry)} />
		</g>
	);
}

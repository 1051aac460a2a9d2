/**
 * One shot from the side, and where the shots of its club came down from above, yard for yard: read from three metres,
 * so that everything in it is large and there is little of it. Far; the right of the target is drawn below the line.
 */
import { scaleLinear } from "d3-scale";
import { t } from "../../said/words";
import { letterColour } from "../../ui/Letter";
import { figure, unit, unitName } from "../../ui/units";
import { spanOf, ticks } from "../scale";

export interface PlayerFlightProps {
	letter: string;
	/** Downrange yards and height in feet. */
	path: [number, number][];
	/** Every shot of the club, the last one last. */
	/** Offline is null where the line was not read: such a shot is not drawn from above. */
	landed: { carry: number; offline: number | null; aside: boolean }[];
	window: { low: number; high: number } | null;
	/** In pixels of the screen. */
	width: number;
	height: number;
}

const EDGE = 16;
const TYPE = 22;

export function PlayerFlight(props: PlayerFlightProps) {
	const { path, width, height } = props;
	const side = path.length > 0 ? Math.round(height * 0.45) : 0;
	return (
		<div>
			{side > 0 && <FromTheSide {...props} height={side} />}
			<FromAbove {...props} height={height - side} width={width} />
		</div>
	);
}

function FromTheSide({ letter, path, window, width, height }: PlayerFlightProps) {
	const far = spanOf([...path.map(([x]) => x), window?.high ?? 0], 20, 10).high;
	const tall = Math.max(...path.map(([, z]) => z), 30);
	const x = scaleLinear([0, far], [EDGE, width - EDGE * 2]);
	const y = scaleLinear([0, tall * 1.35], [height - TYPE - 12, 4]);
	const line = path
		.map(([along, up], index) => `${index ? "L" : "M"}${x(along).toFixed(1)} ${y(up).toFixed(1)}`)
		.join("");
	const top = path.reduce((highest, each) => (each[1] > highest[1] ? each : highest), [0, 0]);
	return (
		<svg
			width={width}
			height={height}
			role="img"
			aria-label={t("player-flight-last-shot-from-side-feet", { top: figure(top[1]) })}
		>
			{window && (
				<rect
					x={x(window.low)}
					width={x(window.high) - x(window.low)}
					y="4"
					height={y(0) - 4}
					fill="var(--window)"
					stroke="var(--window-line)"
				/>
			)}
			<line x1={x(0)} x2={width} y1={y(0)} y2={y(0)} stroke="currentColor" strokeWidth="2" />
			{ticks({ low: 0, high: far }, width < 600 ? 100 : 50).map((yards) => (
				<text
					key={yards}
					x={x(yards)}
					y={height - 6}
					textAnchor={yards === 0 ? "start" : "middle"}
					fontSize={TYPE}
					fill="var(--quiet)"
				>
					{yards === 0 ? unit("far") : yards}
				</text>
			))}
			<path d={line} fill="none" stroke={letterColour(letter)} strokeWidth="5" strokeLinecap="round" />
			<text
				x={x(top[0])}
				y={y(top[1]) - 10}
				textAnchor="middle"
				fontSize={TYPE}
				fontWeight="600"
				fill="currentColor"
			>
				{figure(top[1])} {unit("high")}
			</text>
		</svg>
	);
}

function FromAbove({ letter, landed: all, window, width, height }: PlayerFlightProps) {
	const landed = all.flatMap(({ offline, ...each }) => (offline === null ? [] : [{ ...each, offline }]));
	const lastRead = all.at(-1)?.offline !== null;
	const last = lastRead ? landed.at(-1) : undefined;
	const along = spanOf(
		[...landed.map((each) => each.carry), ...(window ? [window.low, window.high] : [])],
		10,
		8,
	);
	const across = Math.max(15, ...landed.map((each) => Math.abs(each.offline) + 6));
	const scale = Math.min((width - 2 * EDGE) / (along.high - along.low), (height - TYPE - 14) / (2 * across));
	const middle = (height - TYPE - 10) / 2;
	const from = width / 2 - (scale * (along.high - along.low)) / 2;
	const x = (yards: number) => from + (yards - along.low) * scale;
	const y = (yards: number) => middle + yards * scale;
	const words = last
		? t("player-flight-where-shots-came-down-last", {
				landed: landed.length,
				carry: figure(last.carry),
				unit: unitName("far"),
				offline: figure(Math.abs(last.offline)),
				which: last.offline >= 0 ? t("label-right") : t("label-left"),
			})
		: all.length > 0
			? t("player-flight-direction-last-shot-not-read")
			: t("label-no-shot-yet");
	return (
		<svg width={width} height={height} role="img" aria-label={words}>
			{!lastRead && (
				<text x={width / 2} y={TYPE + 6} textAnchor="middle" fontSize={TYPE} fill="var(--quiet)">
					{t("player-flight-direction-not-read")}
				</text>
			)}
			{window && (
				<rect
					x={x(window.low)}
					width={x(window.high) - x(window.low)}
					y={y(-across)}
					height={2 * across * scale}
					fill="var(--window)"
					stroke="var(--window-line)"
				/>
			)}
			<line
				x1={x(along.low)}
				x2={x(along.high)}
				y1={middle}
				y2={middle}
				stroke="var(--quiet)"
				strokeDasharray="8 8"
				strokeWidth="2"
			/>
			{ticks(along, 10).map((yards) => (
				<text key={yards} x={x(yards)} y={height - 4} textAnchor="middle" fontSize={TYPE} fill="var(--quiet)">
					{(yards / 10) % (along.high - along.low > 60 || width < 600 ? 2 : 1) === 0 ? yards : ""}
				</text>
			))}
			{(lastRead ? landed.slice(0, -1) : landed).map((each, index) => (
				<circle
					// biome-ignore lint/suspicious/noArrayIndexKey: shots have no other name here and keep their order
					key={index}
					cx={x(each.carry)}
					cy={y(each.offline)}
					r="8"
					fill={each.aside ? "none" : letterColour(letter)}
					stroke={letterColour(letter)}
					strokeWidth="2"
					fillOpacity="0.55"
				/>
			))}
			{last && (
				<g>
					<circle
						cx={x(last.carry)}
						cy={y(last.offline)}
						r="20"
						fill={last.aside ? "var(--color-base-100)" : letterColour(letter)}
						stroke={letterColour(letter)}
						strokeWidth="3"
					/>
					<text
						x={x(last.carry)}
						y={y(last.offline)}
						textAnchor="middle"
						dominantBaseline="central"
						fontSize="24"
						fontWeight="700"
						fill={last.aside ? "currentColor" : letter ? "var(--on-letter)" : "var(--color-base-100)"}
					>
						{letter}
					</text>
				</g>
			)}
		</svg>
	);
}

/**
 * The player's own screen: opened with a code, without signing in. It shows what the fitter allows and asks what a club
 * felt like before any number. Read from three metres and touched from one.
 */
import "../../said/rest";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { SunMoon } from "lucide-react";
import { type ReactNode, useLayoutEffect, useRef, useState } from "react";
import { useLostLine } from "../../api/byCode";
import { client, got, type PlayerView, Problem } from "../../api/client";
import { PlayerFlight } from "../../instruments/player-flight/PlayerFlight";
import { t } from "../../said/words";
import { dropDraft } from "../../ui/draft";
import { Letter } from "../../ui/Letter";
import { Mark } from "../../ui/Mark";
import { useTheme } from "../../ui/theme";
import {
	asFar,
	figure,
	type Metres,
	metresOf,
	reading,
	shownAs,
	side,
	toFar,
	toHigh,
	unit,
	unitName,
} from "../../ui/units";
import { AskFeel, type Felt } from "./AskFeel";

const at = (code: string) => ({ params: { path: { code } } });

export default function Player() {
	const [code, setCode] = useState(() => window.location.pathname.split("/")[2]?.toUpperCase() ?? "");
	const open = (wanted: string) => {
		window.history.replaceState(null, "", `/player/${wanted}`);
		setCode(wanted);
	};
	return code ? <Opened code={code} onOther={open} /> : <Enter onCode={open} />;
}

export function Enter({ onCode, why = "" }: { onCode: (code: string) => void; why?: string }) {
	const [typed, setTyped] = useState("");
	return (
		<Frame>
			<form
				className="m-auto w-full max-w-md space-y-5 p-6 text-center"
				onSubmit={(event) => {
					event.preventDefault();
					if (typed.trim()) onCode(typed.trim().toUpperCase());
				}}
			>
				<label className="block space-y-3 text-3xl">
					<span className="block">{t("player-code-fitters-screen")}</span>
					<input
						className="input h-20 w-full text-center text-5xl tracking-widest uppercase"
						autoComplete="off"
						maxLength={8}
						value={typed}
						onChange={(event) => setTyped(event.target.value)}
					/>
				</label>
				{why && (
					<p role="alert" className="hole-text text-2xl font-semibold">
						{why}
					</p>
				)}
				<button type="submit" className="btn btn-primary h-16 w-full text-2xl">
					{t("player-open")}
				</button>
			</form>
		</Frame>
	);
}

export function Frame({ children, lost = false }: { children: ReactNode; lost?: boolean }) {
	const [, turn] = useTheme();
	return (
		<main className="flex min-h-dvh flex-col bg-base-100">
			<header className="flex items-center justify-between gap-3 px-5 py-3">
				<Mark />
				<span role="status" className="hole-text text-xl font-semibold">
					{lost ? t("player-not-live-line-lost-trying") : ""}
				</span>
				<button type="button" className="p-3" aria-label={t("label-light-or-dark-screen")} onClick={turn}>
					<SunMoon size={22} />
				</button>
			</header>
			{children}
		</main>
	);
}

function Opened({ code, onOther }: { code: string; onOther: (code: string) => void }) {
	const queries = useQueryClient();
	const { data, error } = useQuery({
		queryKey: ["player", code],
		queryFn: () => got(client.GET("/api/player/{code}", at(code))),
	});
	const lost = useLostLine("player", code, data !== undefined);
	const say = useMutation({
		networkMode: "always",
		retry: (_tries, why) => !(why instanceof Problem && why.status >= 400),
		retryDelay: 2000,
		mutationFn: (felt: Felt) => got(client.POST("/api/player/{code}", { ...at(code), body: felt })),
		onSuccess: (view, felt) => {
			dropDraft(`felt:${felt.build}`);
			queries.setQueryData(["player", code], view);
		},
	});
	if (error instanceof Problem && error.status >= 400) return <Enter onCode={onOther} why={error.title} />;
	if (!data)
		return (
			<Frame lost={lost || error !== null}>
				<h1 className="quiet m-auto text-3xl font-normal">{t("label-opening")}</h1>
			</Frame>
		);
	return (
		<Frame lost={lost}>
			<h1 className="sr-only">{t("player-your-shots")}</h1>
			{data.asks ? (
				<AskFeel
					key={data.asks.build}
					build={data.asks.build}
					letter={data.asks.letter}
					sending={say.isPending}
					waiting={say.failureCount > 0 && say.isPending}
					error={say.error}
					onSay={say.mutate}
				/>
			) : data.flight ? (
				<Numbers view={data} />
			) : (
				<Blind view={data} />
			)}
		</Frame>
	);
}

const clubOf = (view: PlayerView) => (view.club === "own" ? "" : view.club);

/** By its letter; a code of a blind test by its word. */
function ClubOf({ view, size }: { view: PlayerView; size: number }) {
	const club = clubOf(view);
	if (club.length === 1) return <Letter letter={club} size={size} />;
	return (
		<span className="block font-semibold" style={{ fontSize: `${size / 2.6}px`, lineHeight: 1.1 }}>
			{club || t("player-your-own-club")}
		</span>
	);
}

const counted = (shots: number) => `${shots} ${shots === 1 ? "shot" : "shots"}`;

function Blind({ view }: { view: PlayerView }) {
	return (
		<div className="m-auto text-center" data-testid="player-blind">
			{view.club === "" ? (
				<p className="text-5xl">{t("player-fitter-hands-you-club")}</p>
			) : (
				<>
					<ClubOf view={view} size={260} />
					<p className="mt-8 text-5xl">{counted(view.shots)}</p>
				</>
			)}
		</div>
	);
}

/** The size of what is drawn, as the screen gives it room. */
function useRoom() {
	const ref = useRef<HTMLDivElement>(null);
	const [room, setRoom] = useState({ width: 0, height: 0 });
	useLayoutEffect(() => {
		const look = () => {
			if (!ref.current) return;
			const { width, top } = ref.current.getBoundingClientRect();
			setRoom({ width, height: Math.max(320, window.innerHeight - top - 12) });
		};
		look();
		window.addEventListener("resize", look);
		return () => window.removeEventListener("resize", look);
	}, []);
	return { ref, ...room };
}

const LAST = [
	"total_m",
	"offline_m",
	"peak_m",
	"landing_deg",
	"ball_speed_mps",
	"club_speed_mps",
	"launch_deg",
	"spin_rpm",
] as const;

function Numbers({ view }: { view: PlayerView }) {
	const { ref, width, height } = useRoom();
	const { flight, readings } = view;
	if (!flight) return null;
	const full = view.mode === "full";
	const { low = null, high = null } = flight.window ?? {};
	const wanted =
		low === null || high === null ? null : { low: toFar(low as Metres), high: toFar(high as Metres) };
	return (
		<div className="flex flex-1 flex-col gap-4 px-5 pb-3 lg:flex-row" data-testid="player-numbers">
			<section className={`shrink-0 ${full ? "lg:w-96" : "lg:w-80"}`}>
				<p className="flex items-center gap-4 text-3xl">
					<ClubOf view={view} size={72} />
					<span className="quiet">{counted(view.shots)}</span>
				</p>
				<p
					className={`num mt-4 text-[9rem] leading-none lg:text-[11rem] ${flight.aside ? "quiet line-through" : ""}`}
					data-testid="player-carry"
				>
					{asFar(flight.carry_m)}
				</p>
				<p className="quiet text-3xl">
					{flight.aside ? t("player-carry-set-aside") : t("label-carry-4", { unit: unitName("far") })}
				</p>
				{wanted && (
					<p className="mt-2 text-3xl">
						<span className="quiet">{t("player-wanted")}</span>{" "}
						<span className="num">
							{figure(wanted.low)}–{figure(wanted.high)}
						</span>
					</p>
				)}
				{full && (
					<dl className="mt-4 grid grid-cols-2 gap-x-6 gap-y-2">
						{LAST.filter((key) => key in readings).map((key) => {
							const { label, unit } = shownAs(key);
							return (
								<div key={key}>
									<dt className="quiet text-lg leading-tight">{label}</dt>
									<dd className="num text-4xl leading-tight">
										{key === "offline_m" ? side(metresOf(readings, key)) : reading(key, readings[key])}
										<span className="quiet ml-1 text-lg font-normal">{unit === "°" ? "" : unit}</span>
									</dd>
								</div>
							);
						})}
					</dl>
				)}
			</section>
			<div className="flex min-w-0 flex-1 flex-col">
				{full && view.builds.length > 1 && <Averages view={view} />}
				<div ref={ref} className="min-w-0">
					{width > 0 && (
						<PlayerFlight
							letter={clubOf(view)}
							path={flight.path.map(([far = 0, up = 0]) => [toFar(far as Metres), toHigh(up as Metres)])}
							landed={flight.landed.map((each) => ({
								carry: toFar(each.carry_m),
								offline: each.offline_m === null ? null : toFar(each.offline_m),
								aside: each.aside,
							}))}
							window={wanted}
							width={width}
							height={height}
						/>
					)}
				</div>
			</div>
		</div>
	);
}

/** The averages of the builds hit so far, a line each. */
function Averages({ view }: { view: PlayerView }) {
	return (
		<table className="mb-3 w-full text-left text-2xl">
			<thead className="quiet text-lg">
				<tr>
					<th scope="col" className="font-normal">
						{t("player-on-average")}
					</th>
					<th scope="col" className="font-normal">
						{t("label-carry-4", { unit: unit("far") })}
					</th>
					<th scope="col" className="font-normal">
						{t("player-height", { unit: unit("high") })}
					</th>
					<th scope="col" className="font-normal">
						{t("player-landing")}
					</th>
				</tr>
			</thead>
			<tbody>
				{view.builds.map((build) => {
					const peak = metresOf(build.averages, "peak_m");
					return (
						<tr key={build.letter} className={build.letter === view.club ? "font-semibold" : ""}>
							<th scope="row" className="py-1">
								<Letter letter={build.letter} size={34} />
							</th>
							<td className="num">{asFar(metresOf(build.averages, "carry_m"))}</td>
							<td className="num">{figure(peak === null ? null : toHigh(peak))}</td>
							<td className="num">{reading("landing_deg", build.averages.landing_deg)}</td>
						</tr>
					);
				})}
			</tbody>
		</table>
	);
}

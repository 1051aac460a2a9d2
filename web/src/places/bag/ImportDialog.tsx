/** A shots file: choose it, look at how it is read, then take it in. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, got, type ImportPreview, Problem, type Session } from "../../api/client";
import { sessionKey } from "../../api/session";
import { lettersOf } from "../../session/select";
import { listOf } from "../../session/words";
import { Said } from "../../ui/Said";
import { Sheet } from "../../ui/Sheet";
import { yd } from "../../ui/units";

const KEYS: Record<string, string> = {
	"": "Leave out",
	club: "Club",
	strike: "Strike",
	intent: "Intent",
	swing_length: "Length of swing",
	struck_ball: "Ball",
	lie: "Lie",
	carry_m: "Carry",
	total_m: "Total",
	offline_m: "Offline",
	peak_m: "Peak height",
	landing_deg: "Landing angle",
	hang_s: "Hang time",
	ball_speed_mps: "Ball speed",
	club_speed_mps: "Club speed",
	launch_deg: "Launch angle",
	direction_deg: "Launch direction",
	spin_rpm: "Spin",
	axis_deg: "Spin axis",
	attack_deg: "Attack angle",
	path_deg: "Club path",
	face_deg: "Face angle",
	dynamic_loft_deg: "Dynamic loft",
};
const unitsFor = (key: string): string[] => {
	if (key.endsWith("_mps")) return ["mph", "kmh", "mps"];
	if (key.endsWith("_m")) return ["yd", "m", "ft"];
	if (key.endsWith("_deg")) return ["deg"];
	if (key.endsWith("_rpm")) return ["rpm"];
	if (key.endsWith("_s")) return ["s"];
	return [];
};
const UNIT_WORDS: Record<string, string> = {
	yd: "yards",
	m: "metres",
	ft: "feet",
	kmh: "km/h",
	mps: "m/s",
	deg: "degrees",
};

const MOST_BYTES = 4_000_000;
const TOO_LARGE = new Problem(
	"The file is over 4 MB, more than a session of shots. Export one session.",
	400,
	"file",
);

interface Request {
	file_name: string;
	text: string;
	columns: { header: string; key: string; unit: string }[];
	clubs: Record<string, string>;
	aside: number[];
}

export function ImportDialog({ session, onClose }: { session: Session; onClose: () => void }) {
	const queries = useQueryClient();
	const [tooLarge, setTooLarge] = useState(false);
	const [request, setRequest] = useState<Request | null>(null);
	const [shown, setShown] = useState<ImportPreview | null>(null);
	const path = { params: { path: { session_id: session.id } } };
	const preview = useMutation({
		mutationFn: (body: Request) =>
			got(client.POST("/api/sessions/{session_id}/import/preview", { ...path, body })),
		onSuccess: (answer, sent) => {
			setShown(answer);
			setRequest({
				...sent,
				columns: answer.columns.map(({ header, key, unit }) => ({ header, key, unit })),
				clubs: Object.fromEntries(
					answer.clubs.map((club) => [club.written, sent.clubs[club.written] ?? club.name]),
				),
				aside: answer.unlike.map((row) => row.line),
			});
		},
	});
	const take = useMutation({
		mutationFn: (body: Request) => got(client.POST("/api/sessions/{session_id}/import", { ...path, body })),
		onSuccess: () => queries.invalidateQueries({ queryKey: sessionKey(session.id) }),
	});
	const read = async (file: File | undefined) => {
		if (!file) return;
		take.reset();
		setShown(null);
		setTooLarge(file.size > MOST_BYTES);
		if (file.size > MOST_BYTES) return;
		preview.mutate({ file_name: file.name, text: await textOf(file), columns: [], clubs: {}, aside: [] });
	};
	if (take.data) {
		const { shots, clubs, set_aside, computed, problems } = take.data;
		return (
			<Sheet title="Taken in" onClose={onClose}>
				<p className="mb-3 text-lg">
					{shots} shots of {clubs} clubs. {set_aside} set aside. {computed} had blanks filled by the flight
					model.
				</p>
				<Problems problems={problems} />
				<button type="button" className="btn btn-primary mt-4 h-11 w-full" onClick={onClose}>
					See the carry map
				</button>
			</Sheet>
		);
	}
	return (
		<Sheet title="Import shots" onClose={onClose} wide={shown !== null}>
			<input
				type="file"
				accept=".csv,.txt,.tsv,text/csv"
				className="file-input mb-3 h-11 w-full"
				aria-label="Shots file"
				onChange={(event) => void read(event.target.files?.[0])}
			/>
			<Said error={tooLarge ? TOO_LARGE : (preview.error ?? take.error)} />
			{!shown && !preview.error && (
				<p className="quiet">
					Any CSV with a header line. You see how it is read before anything is taken in.
				</p>
			)}
			{shown && request && (
				<Mapping
					letters={lettersOf(session)}
					shown={shown}
					request={request}
					onChange={setRequest}
					onAgain={(next) => preview.mutate(next)}
					onTake={() => take.mutate(request)}
					busy={preview.isPending || take.isPending}
				/>
			)}
		</Sheet>
	);
}

/** UTF-8 with or without a mark, UTF-16 by its mark, else Windows-1252. */
async function textOf(file: File): Promise<string> {
	const bytes = new Uint8Array(await file.arrayBuffer());
	if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff)) {
		return new TextDecoder(bytes[0] === 0xff ? "utf-16le" : "utf-16be").decode(bytes);
	}
	try {
		return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
	} catch {
		return new TextDecoder("windows-1252").decode(bytes);
	}
}

interface MappingProps {
	letters: string[];
	shown: ImportPreview;
	request: Request;
	onChange: (request: Request) => void;
	onAgain: (request: Request) => void;
	onTake: () => void;
	busy: boolean;
}

function Mapping({ letters, shown, request, onChange, onAgain, onTake, busy }: MappingProps) {
	const column = (index: number, key: string, unit: string) =>
		onAgain({
			...request,
			columns: request.columns.map((each, at) =>
				at === index
					? { ...each, key, unit: unitsFor(key).includes(unit) ? unit : (unitsFor(key)[0] ?? "") }
					: each,
			),
		});
	return (
		<div className="grid gap-6 lg:grid-cols-[1fr_20rem]">
			<section>
				<h3 className="mb-1">
					Columns {shown.remembered && <span className="quiet text-sm font-normal">as last time</span>}
				</h3>
				<div className="max-h-[24rem] overflow-auto border-y border-base-300">
					<table className="table-plain w-full">
						<thead className="sticky top-0 bg-base-100">
							<tr>
								<th scope="col">In the file</th>
								<th scope="col">First shot</th>
								<th scope="col">Is</th>
								<th scope="col">Unit</th>
							</tr>
						</thead>
						<tbody>
							{shown.columns.map((each, index) => (
								<tr key={each.header} className={each.key ? "" : "quiet"}>
									<td>{each.header}</td>
									<td>{each.example || "blank"}</td>
									<td>
										<select
											className="select select-sm h-9 w-36"
											aria-label={`${each.header} is`}
											value={each.key}
											disabled={busy}
											onChange={(event) => column(index, event.target.value, each.unit)}
										>
											{Object.entries(KEYS).map(([key, words]) => (
												<option key={key} value={key}>
													{words}
												</option>
											))}
										</select>
									</td>
									<td>
										{unitsFor(each.key).length > 0 && (
											<select
												className="select select-sm h-9 w-24"
												aria-label={`Unit of ${each.header}`}
												value={each.unit}
												disabled={busy}
												onChange={(event) => column(index, each.key, event.target.value)}
											>
												{unitsFor(each.key).map((unit) => (
													<option key={unit} value={unit}>
														{UNIT_WORDS[unit] ?? unit}
													</option>
												))}
											</select>
										)}
										{!each.sure && each.key && (
											<span className="hole-text block text-[12px]">guessed: check</span>
										)}
									</td>
								</tr>
							))}
						</tbody>
					</table>
				</div>
			</section>
			<section className="space-y-4">
				<div>
					<h3>Clubs</h3>
					<p className="quiet mb-1 text-sm">
						By name into the bag{letters.length > 0 && `, by letter to ${listOf(letters, "or")} on the stand`}
						.
					</p>
					<ul className="max-h-44 space-y-1 overflow-auto">
						{shown.clubs.map((club) => (
							<li key={club.written} className="flex items-center gap-2">
								<span className="w-32 truncate">{club.written || "no club named"}</span>
								<input
									className="input h-9 w-20 px-2"
									aria-label={`${club.written} goes to`}
									placeholder="left out"
									value={request.clubs[club.written] ?? ""}
									onChange={(event) =>
										onChange({ ...request, clubs: { ...request.clubs, [club.written]: event.target.value } })
									}
								/>
								<span className="quiet text-sm">{club.shots} shots</span>
							</li>
						))}
					</ul>
				</div>
				{shown.unlike.length > 0 && (
					<div>
						<h3 className="mb-1">Unlike the others</h3>
						<ul className="space-y-1">
							{shown.unlike.map((row) => (
								<li key={row.line}>
									<label className="flex items-start gap-2 text-sm">
										<input
											type="checkbox"
											className="checkbox checkbox-sm"
											checked={request.aside.includes(row.line)}
											onChange={(event) =>
												onChange({
													...request,
													aside: event.target.checked
														? [...request.aside, row.line]
														: request.aside.filter((line) => line !== row.line),
												})
											}
										/>
										<span>
											Set aside {row.club} {yd(row.carry_m)} (line {row.line}): {row.why}
										</span>
									</label>
								</li>
							))}
						</ul>
					</div>
				)}
				<Problems problems={shown.problems} />
				<button
					type="button"
					className="btn btn-primary h-12 w-full"
					disabled={busy || shown.shots === 0}
					onClick={onTake}
				>
					Take in {shown.shots} shots
				</button>
			</section>
		</div>
	);
}

function Problems({ problems }: { problems: ImportPreview["problems"] }) {
	if (problems.length === 0) return null;
	return (
		<div>
			<h3 className="hole-text mb-1">Not read</h3>
			<ul className="max-h-32 overflow-auto text-sm">
				{problems.map((problem) => (
					<li key={`${problem.line}-${problem.column}-${problem.sentence}`}>
						Line {problem.line}
						{problem.column ? `, ${problem.column}` : ""}: {problem.sentence}
					</li>
				))}
			</ul>
		</div>
	);
}

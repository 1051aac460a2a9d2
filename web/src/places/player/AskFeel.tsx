/** What a club felt like, asked before its numbers: marks of 1 to 5, each to be skipped, and a word of veto. */
import { VOCABULARY } from "../../api/vocabulary";
import { t } from "../../said/words";
import { useDrafted } from "../../ui/draft";
import { Letter } from "../../ui/Letter";
import { Said } from "../../ui/Said";

type Asked = keyof typeof VOCABULARY.felt;
export interface Felt extends Partial<Record<Asked, number | null>> {
	build: number;
	veto: boolean;
	word: string;
}
const ASKED = Object.keys(VOCABULARY.felt) as Asked[];
const MARKS = [1, 2, 3, 4, 5];

export interface AskFeelProps {
	build: number;
	letter: string;
	/** What was said before, to be changed. */
	before?: Partial<Record<Asked, number>>;
	sending: boolean;
	/** It could not be sent yet, and is sent again. */
	waiting?: boolean;
	error?: unknown;
	onSay: (felt: Felt) => void;
}

export function AskFeel({ build, letter, before = {}, sending, waiting, error, onSay }: AskFeelProps) {
	const form = `felt:${build}`;
	const [marks, setMarks] = useDrafted<Partial<Record<Asked, number>>>(form, "marks", before);
	const [veto, setVeto] = useDrafted(form, "veto", false);
	const [word, setWord] = useDrafted(form, "word", "");
	const none = ASKED.every((asked) => marks[asked] === undefined) && !veto && !word.trim();
	return (
		<form
			className="m-auto w-full max-w-4xl space-y-3 px-4 pb-4"
			data-testid="ask-feel"
			onSubmit={(event) => {
				event.preventDefault();
				onSay({ build, veto, word: word.trim(), ...marks });
			}}
		>
			<h2 className="flex flex-wrap items-center gap-4 text-3xl">
				<Letter letter={letter} size={56} /> {t("player-how-was-it")}
				<span className="quiet text-xl font-normal">{t("player-1-poor-5-very-good")}</span>
			</h2>
			{ASKED.map((asked) => (
				<fieldset key={asked} className="flex flex-wrap items-center gap-x-4 gap-y-1">
					<legend className="sr-only">{VOCABULARY.felt[asked]}</legend>
					<span aria-hidden className="w-full text-2xl sm:w-72">
						{VOCABULARY.felt[asked]}
					</span>
					<span className="flex gap-2">
						{MARKS.map((mark) => (
							<button
								key={mark}
								type="button"
								aria-pressed={marks[asked] === mark}
								aria-label={`${VOCABULARY.felt[asked]}: ${mark}`}
								className={`btn num h-16 w-16 text-3xl sm:w-20 ${marks[asked] === mark ? "btn-primary" : "border-base-300 bg-base-200"}`}
								onClick={() =>
									setMarks((so) => {
										const { [asked]: was, ...others } = so;
										return was === mark ? others : { ...others, [asked]: mark };
									})
								}
							>
								{mark}
							</button>
						))}
					</span>
				</fieldset>
			))}
			{marks.trust === 1 && !veto && (
				<p role="status" className="text-2xl font-semibold">
					{t("player-you-would-not-trust-one")}
				</p>
			)}
			<div className="flex flex-wrap items-center gap-3">
				<button
					type="button"
					aria-pressed={veto}
					className={`btn h-16 px-5 text-xl ${veto ? "btn-primary" : "border-base-300 bg-base-100"}`}
					onClick={() => setVeto(!veto)}
				>
					{t("player-i-will-not-play-one")}
				</button>
				<input
					className="input h-16 min-w-48 flex-1 text-xl"
					aria-label={t("player-in-a-word")}
					placeholder={t("player-in-a-word")}
					maxLength={120}
					autoComplete="off"
					value={word}
					onChange={(event) => setWord(event.target.value)}
				/>
			</div>
			<button type="submit" className="btn btn-primary h-18 w-full text-2xl" disabled={sending}>
				{sending
					? waiting
						? t("player-not-sent-yet-trying-again")
						: t("player-sending")
					: none
						? t("player-skip-all")
						: t("label-done")}
			</button>
			<Said error={error} />
		</form>
	);
}

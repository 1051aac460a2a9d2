/** A club as the panels of the tests call it: its letter where it has one, else its name. */
import type { Session } from "../api/client";
import { buildOf } from "../session/select";
import { Letter } from "../ui/Letter";

export function ClubName({ session, build }: { session: Session; build: number }) {
	const club = buildOf(session, build);
	if (!club?.letter) return <span className="font-semibold">{club?.name}</span>;
	return (
		<span className="inline-flex items-center gap-1.5">
			<Letter letter={club.letter} size={20} /> {club.name}
		</span>
	);
}

import { t } from "../said/words";

/** Which kind of head, of those that are there; empty for every kind. */
export const KindSelect = ({
	kinds,
	kind,
	onKind,
}: {
	kinds: [string, string][];
	kind: string;
	onKind: (kind: string) => void;
}) => (
	<select
		className="select h-11 w-44"
		aria-label={t("rack-kind-head")}
		value={kind}
		onChange={(event) => onKind(event.target.value)}
	>
		<option value="">{t("rack-every-kind")}</option>
		{kinds.map(([each, words]) => (
			<option key={each} value={each}>
				{words}
			</option>
		))}
	</select>
);

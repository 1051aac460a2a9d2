import type { Session } from "../api/client";

/** Whether nothing of a session changes any more: it is agreed, or its customer is erased. */
export const isClosed = (session: Pick<Session, "status">) =>
	session.status === "agreed" || session.status === "erased";

// The application itself on the device: pages open without a line. What is read of the shop is not kept here.
const FILES = [];
// A line that neither answers nor fails is no line.
const PATIENCE_MS = 4000;
const HELD = "hemicycle-files";
const held = () => caches.open(HELD);
const ours = (path) => path === "/" || FILES.includes(path);

self.addEventListener("install", (event) => {
	event.waitUntil(
		held()
			.then((files) => files.addAll(["/", ...FILES]))
			.then(() => self.skipWaiting()),
	);
});
self.addEventListener("activate", (event) => {
	const clear = async () => {
		const files = await held();
		for (const request of await files.keys()) {
			if (!ours(new URL(request.url).pathname)) await files.delete(request);
		}
		await self.clients.claim();
	};
	event.waitUntil(clear());
});

const fromHere = async (path) => (await held()).match(path);

/** A page as the server has it; where it does not answer, as it was. */
async function page(request) {
	try {
		return await fetch(request.url, { credentials: "same-origin", signal: AbortSignal.timeout(PATIENCE_MS) });
	} catch (lost) {
		const kept = await fromHere("/");
		if (!kept) throw lost;
		return kept;
	}
}

self.addEventListener("fetch", (event) => {
	const { request } = event;
	const { origin, pathname } = new URL(request.url);
	if (request.method !== "GET" || origin !== self.location.origin || pathname.startsWith("/api/")) return;
	if (request.mode === "navigate") event.respondWith(page(request));
	else if (FILES.includes(pathname))
		event.respondWith(fromHere(pathname).then((kept) => kept ?? fetch(request)));
});

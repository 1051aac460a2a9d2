import { readFileSync } from "node:fs";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vitest/config";

/** The worker that keeps the built files on the device, with their names in it: other files make another worker. */
const onDevice = (): Plugin => ({
	name: "on-device",
	apply: "build",
	generateBundle(_options, bundle) {
		const files = Object.keys(bundle).filter((name) => name.startsWith("static/"));
		const template = readFileSync(new URL("./sw.template.js", import.meta.url), "utf8");
		const list = JSON.stringify(["/mark.svg", ...files.map((name) => `/${name}`)].sort());
		this.emitFile({
			type: "asset",
			fileName: "sw.js",
			source: template.replace("const FILES = [];", `const FILES = ${list};`),
		});
	},
});

export default defineConfig({
	plugins: [react(), tailwindcss(), onDevice()],
	build: { outDir: "dist", emptyOutDir: true, assetsDir: "static", chunkSizeWarningLimit: 400 },
	server: { proxy: { "/api": "http://127.0.0.1:8000" }, fs: { allow: [".", "../core/hemicycle_core/said/en"] } },
	test: { environment: "jsdom", setupFiles: ["src/tests/words.ts"], include: ["src/**/*.test.ts", "src/**/*.test.tsx"], restoreMocks: true, testTimeout: 45_000, pool: "threads", isolate: false },
});

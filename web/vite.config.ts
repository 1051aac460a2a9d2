import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
	plugins: [react(), tailwindcss()],
	build: { outDir: "dist", emptyOutDir: true, assetsDir: "static", chunkSizeWarningLimit: 400 },
	server: { proxy: { "/api": "http://127.0.0.1:8000" } },
	test: { environment: "jsdom", include: ["src/**/*.test.ts", "src/**/*.test.tsx"], restoreMocks: true, testTimeout: 20_000, pool: "threads", isolate: false },
});

/** What is open stands in the address: it closes at once, and Back goes where one thinks it goes. */
import { act, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { BrowserRouter, Link, Route, Routes, useLocation, useNavigate } from "react-router";
import { afterEach, expect, test } from "vitest";
import { CommandProvider, useCommands } from "../commands/commands";
import { clear } from "../tests/stage";
import { useBackPastLeft, useInAddress } from "./address";
import { Sheet } from "./Sheet";

afterEach(clear);

function Place() {
	const [sheet, open] = useInAddress("sheet");
	const go = useNavigate();
	const keys = { i: "import", k: "rack" };
	useCommands(
		"place",
		Object.entries(keys).map(([key, name]) => ({
			id: name,
			name,
			keys: key,
			shown: key,
			group: "",
			run: () => open(name),
		})),
	);
	return (
		<>
			<Link to="/next">go on</Link>
			{sheet && (
				<Sheet title={sheet} onClose={() => open(null)}>
					<button
						type="button"
						onClick={() => {
							void go("/next");
							open(null);
						}}
					>
						Done, go on
					</button>
				</Sheet>
			)}
		</>
	);
}

function Shop() {
	useBackPastLeft();
	const { pathname, search } = useLocation();
	return (
		<CommandProvider>
			<output>{pathname + search}</output>
			<Routes>
				<Route path="/place" element={<Place />} />
				<Route path="*" element={<Link to="/place">to the place</Link>} />
			</Routes>
		</CommandProvider>
	);
}

const at = () => screen.getByRole("status").textContent;
const press = (key: string) => fireEvent.keyDown(document.body, { key, code: `Key${key.toUpperCase()}` });
const back = async (to: string) => {
	act(() => window.history.back());
	await waitFor(() => expect(at()).toBe(to));
};

test("a sheet that is closed takes no key of the next breath, and Back passes over what it left", async () => {
	window.history.replaceState(null, "", "/start");
	render(
		<BrowserRouter useTransitions={false}>
			<Shop />
		</BrowserRouter>,
	);
	fireEvent.click(screen.getByText("to the place"));
	press("i");
	expect(at()).toBe("/place?sheet=import");
	await back("/place");
	press("i");
	// Closed, and another one opened at once.
	fireEvent.click(screen.getByRole("button", { name: /Close/ }));
	expect(at()).toBe("/place");
	press("k");
	expect(at()).toBe("/place?sheet=rack");
	await back("/place");
	press("k");
	fireEvent.click(screen.getByRole("button", { name: /Close/ }));
	fireEvent.click(screen.getByText("go on"));
	expect(at()).toBe("/next");
	await back("/place");
	press("k");
	fireEvent.click(screen.getByText("Done, go on"));
	expect(at()).toBe("/next");
	await back("/place?sheet=rack");
	await back("/place");
	await back("/start");
});

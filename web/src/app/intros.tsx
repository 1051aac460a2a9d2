/** The first words of each place of a session. */
import "../said/rest";
import type { ReactNode } from "react";
import { Worded } from "../said/Worded";
import { Term } from "../ui/Term";

export const INTROS: Record<string, ReactNode> = {
	brief: <Worded id="intro-brief" drawn={{ window: <Term of="window" />, slot: <Term of="slot" /> }} />,
	bag: <Worded id="intro-bag" drawn={{ gap: <Term of="gap" />, stand: <Term of="stand" /> }} />,
	bay: <Worded id="intro-bay" drawn={{ build: <Term of="build" />, window: <Term of="window" /> }} />,
	bench: <Worded id="intro-bench" drawn={{ settled: <Term of="settled" /> }} />,
	handover: <Worded id="intro-handover" drawn={{ build: <Term of="build" />, visit: <Term of="visit" /> }} />,
};

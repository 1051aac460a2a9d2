/** Wind as a fitter says it. */
export const FROM = [
	[0, "against"],
	[45, "from ahead, right"],
	[90, "from the right"],
	[135, "from behind, right"],
	[180, "helping"],
	[225, "from behind, left"],
	[270, "from the left"],
	[315, "from ahead, left"],
] as const;

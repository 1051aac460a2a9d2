/** All changes of a session, by what they are called in the places. */
import { bag } from "./bag";
import { bay } from "./bay";
import { tests } from "./tests";

export const change = { ...bag, ...bay, ...tests };

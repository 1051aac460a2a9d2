/** A swing as a column or a row is headed. */
import { VOCABULARY } from "../../api/vocabulary";

const LENGTHS: Record<string, string> = VOCABULARY.lengths;

export const swingName = (swing: string) => (LENGTHS[swing] ?? swing).replace("to ", "");

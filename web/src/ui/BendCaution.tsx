import { VOCABULARY } from "../api/vocabulary";
import { Caution } from "./Said";

/** Wherever a wedge is to be bent. */
export const BendCaution = () => <Caution>{VOCABULARY.cautions.bend}</Caution>;

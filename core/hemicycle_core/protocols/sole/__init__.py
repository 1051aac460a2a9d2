"""The blind sole test: which clubs go in, what is asked and kept, what was measured, what came of it."""

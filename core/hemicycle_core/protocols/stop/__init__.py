"""The stop test: what is played to and seen, and what is read of all wedges together."""

"""Every change of a session, one function each."""

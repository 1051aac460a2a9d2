"""Old grooves against new: what is asked, and what is read of both wedges together."""

"""Part swings of the wedges: what is asked, and the distance card that is read of them."""

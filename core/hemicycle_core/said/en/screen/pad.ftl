pad-clubs-hand = Clubs to hand
pad-session-closed-takes-nothing = This visit is closed. It takes nothing in.
pad-hand-club-then-type-its = Hand a club, then type its shots.
pad-shots-club = Shots of this club
pad-feed = feed
pad-kept = { $kept } kept
pad-no-shot = no shot

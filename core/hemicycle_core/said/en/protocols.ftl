protocol-there-no-test-called = There is no test called “{ $key }”. Choose one of the Bay.
protocol-asks-not = { $name } asks for { $words }, not for { $intent }.
protocol-full-swing = Full swing
protocol-only-stock-shots-count = Only stock shots count for what the club does by itself.
protocol-both-wedges-hit-dry = Both wedges are hit dry and wet. The Bench says whether the old one is worth replacing.
protocol-old-wedge-beside-fresh = An old wedge beside a fresh one of its loft, short, dry and wet: what the wear costs.
protocol-every-swing-card-hit = Every swing of the card is hit. It stands on the Bag, to be printed.
protocol-part-swings = Part swings
protocol-each-wedge-full-three = Each wedge full, three-quarter, half and to any hour of the clock: the distance card.
protocol-shaped-shots = Shaped shots
protocol-others-kept-beside-them = Others are kept beside them, as what it can be made to do.
protocol-say-better-level-worse = Say better, level or worse.
protocol-grooves-counted-from-lowest = Grooves are counted from the lowest, 1 to { $most_groove }; 0 is under them.
protocol-sound-word-characters-most = The sound in a word: { $most_sound } characters at most.
protocol-choose-among-lies-sole = Choose among the lies of the sole test.
protocol-go-back-only-lie = Go back only to a lie of this test, twelve times at most.
protocol-clubs-name-tried-one = Clubs by name are tried on one shot.
protocol-sole-test-begins-stock = A sole test begins with the stock pitch, and each lie comes once.
protocol-wedge-tried-from-one = A wedge that is tried from one lie only is not tried: tick one more.
protocol-all-hit-ask-player = All is hit. Ask the player which one is his; then reveal.
protocol-sole-test = Sole test
protocol-two-five-soles-one = Two to five soles of one loft, blind, from the lies the player meets: which one he likes best.
protocol-liked-best-yet-no = { $name } is liked best, yet { $measured }. No score mixes the two: fitter and player choose.
protocol-nothing-was-compared-yet = Nothing was compared yet.
protocol-liked-best-sure = { $name } is liked best, { $in_100 } sure.
protocol-leads-not-sure = { $name } leads, not for sure: { $in_100 }.
protocol-answers-may-hang-club = The answers may hang on the club that was liked first: go back to a lie before one is chosen.
protocol-was-handed-under-two = { $name } was handed under two codes: they came out { $apart } of one judgement’s noise apart, give or take { $give }.
protocol-decides = { $lie } decides for { $name }.
protocol-which-lie-decides-cannot = Which lie decides cannot be told: it takes { $returns } returns to it that agree.
protocol-no-difference-player-can-2 = No difference this player can tell: less loft with the face open does it, the loft is not needed here.
protocol-not-told-apart-yet = Not told apart yet: whether the loft is needed is open.
protocol-sole-made-liked-best = The sole as it is made is liked best on this shot: neither more loft nor less is needed.
protocol-degree-weaker-liked-best = A degree weaker is liked best on this shot: the loft is needed, opening the face is not enough.
protocol-less-loft-same-sole = Less loft in the same sole is liked best on this shot: opening the face does it.
protocol-say-whether-was-guess = Say whether it was a guess, fairly sure or certain.
protocol-chance-once = by chance once in { $count }
protocol-guessed-wrong-right-test = Guessed wrong, { $by } it is right: the test was blind as far as that tells.
protocol-guessed-right-was-may = Guessed right and was { $sure }: it may not have been blind.
protocol-guessed-right-anyone-does = Guessed right, { $by } anyone does, and was { $sure }: that tells little.
protocol-pace-balls-together = Pace 1 to { $most_balls } balls together.
protocol-where-landed-lies-between = Where it landed lies between the player and well past the hole.
protocol-where-stopped-lies-between = Where it stopped lies between the player and well past the hole.
protocol-stop-test = Stop test
protocol-one-target-each-wedge = One target, each wedge: where it lands, where it stops, and how far short it must land.
protocol-yardage-name = A yardage by name
protocol-asked-carry-so-far = Asked to carry so far with this club, eased or gripped down. Kept apart from its stock swing.
protocol-effort = Effort
protocol-effort-why = Kept beside the stock swing: what easing off or hitting hard gains or costs.
effort-goes-as-far = It goes as far at { $swing }.
effort-less-than-full = less than full
effort-repeats-better = And it repeats better: it could be the stock swing.
test-shots-left = { $more ->
    [yes] { $n } more { $n ->
        [one] shot
       *[other] shots
    }
   *[no] { $n } shots
}
grooves-next = { $name }, { $lie }, { $swing } swing: { $shots }.
part-swing-next = { $name }, { $swing }: { $shots }.
shaped-span = From low to high: { $height } of height{ $carried ->
    [yes] {" "}and { $carry } of carry.
   *[no] .
}
shaped-bends-otherwise = It bends { $by } { $right ->
    [yes] right
   *[no] left
} as a rule; { $wanted ->
    [straight] straight
    [draw] a draw
   *[fade] a fade
} is wanted.
sole-turf-in-sand = How it met the ground: in sand it is even, deep or shallow.
sole-turf-not-sand = How it met the ground: that is said in sand.
sole-left-to-the-hole = What is left to the hole is 0 to { $most }.
sole-next = Hand { $word }, { $where }: { $shots } shots{ $then ->
    [yes] , then better, level or worse than { $before }.
   *[no] .
}
sole-duel = duel
sole-spins-under-the-floor = { $name } spins under the floor: { $where }.
sole-repeats-best = { $name } repeats its distance best: carries scatter by { $by }.
sole-at-odds-spread = { $name } repeats its distance better
sole-no-difference = No difference this player can tell.
sole-not-told-apart = Not told apart: the best is { $names }, eight times in ten.
in-hundred = { $n } in 100
stop-target-is-between = The stop test is played to a target { BARE($low) } to { $high } away.
yardage-ask-between = Ask for a carry of { BARE($low) } to { $high }.
yardage-read = Asked { BARE($asked) }: carries { BARE($carry) }, { $off }{ $spreads ->
    [yes] , spreads { $spread }
   *[no] {""}
}{ $differs ->
    [yes] ; { $than } than its stock swing.
   *[no] .
}
yardage-on-it = on it
yardage-off = { BARE($by) } { $long ->
    [yes] long
   *[no] short
}
yardage-launch = { $by } { $higher ->
    [yes] higher
   *[no] lower
}
sole-place-pitch = Stock pitch
sole-told-pitch = The usual height, to a spot.
sole-place-fuller = Fuller pitch
sole-told-fuller = Longer swing, the same lie.
sole-place-soft = Soft ground
sole-told-soft = Where the foot gives.
sole-place-tight = Tight lie
sole-told-tight = Bare or shaved turf.
sole-place-semi-rough = Semi-rough
sole-told-semi-rough = The ball half down.
sole-place-sand = Greenside sand
sole-told-sand = The usual bunker shot.
sole-place-slope = Side of a slope
sole-place-downhill = Downhill
sole-told-downhill = The ball lies lower than the back foot, the swing follows the ground.
sole-told-slope = Ball above the feet, it falls to the left.
sole-place-lob = Lob over something
sole-told-lob = High, and it stops.
sole-place-wet = Wet grass
sole-told-wet = Water on grass and face.
sole-told-slope-left-handed = Ball above the feet, it falls to the right.
sole-face = Face { $open ->
    [yes] open
   *[no] square
}.
sole-inside = { SMALL($place) }
protocol-grooves = Grooves
sole-repeating-not-told-apart = How well they repeat their distance is not told apart.
sole-at-odds-floor = it spins under the floor
confidence-guess = only guessing
confidence-fairly = fairly sure
confidence-certain = certain
stop-slope-at-most = No ball stops on more than { $most } of slope.
trial-unreadable = What is kept of this test cannot be read: it is not as any version of Hemicycle writes it. Put the last backup back.
trial-of-newer-version = This test was kept by a newer version of Hemicycle: start that one.
wedges-none-in-the-bag = No wedge is in the bag: add them on the Bag first.
part-swing-stock = stock
part-swing-20-minutes = In 20 minutes: { $short }.
grooves-no-fresh-wedge-old-ones = No fresh wedge of an old one’s loft is here: put one on the stand, or borrow it.
grooves-half-swings-one-spot-players = Half swings to one spot, the player’s own ball. Wet: water on grass and face before each shot.
grooves-range-balls-say-little-grooves = Range balls say little of grooves: take the player’s own.
stop-releases = Releases
stop-on-computed = On { $firmer }, computed
stop-monitors-model = Monitor’s model
stop-computed = Computed
stop-ball = { $ball } ball
stop-lands = Lands
stop-left = Left
stop-test-to = Stop test, to { $target }
grooves-old-against-new = Grooves, old against new
found-run = Run

claim-answered = { $name }, “{ $complaint }”: { $words }
claim-nothing-computes-sand = nothing computes sand.
claim-soft-sand = opened { $by } it meets soft sand with about { $meets }, { $enough ->
    [yes] enough
   *[no] too little
} by judgement
claim-firm-sand = square it meets firm sand with about { $meets }, { $little ->
    [yes] little enough
   *[no] too much
} by judgement
claim-play-it-from-the-bunker = Let them play it from the bunker, beside another sole.
claim-hit-it-first = hit it { $n } times first.
claim-hit-a-fresh-one = hit a fresh one of { $known ->
    [yes] { $loft }
   *[no] its loft
} beside it.
claim-pace-where-it-stops = launch and spin are not read: pace where it stops.
claim-stops = it stops { $sooner ->
    [yes] { $by } sooner than
   *[no] as soon as
} { $name }.
claim-stops-later = it stops { $by } later than { $name }, on a medium green
claim-may-be-chance = { $said }, which may be chance: hit more of both.
claim-see-where-it-stops = spin is not read: see where it stops.
claim-not-swung-alike = They were not swung alike, which explains part of it.
claim-spins-less = { $by } less than { $name }
claim-spins-as-much = { $more ->
    [yes] { $by } more than
   *[no] as much spin as
} { $name }.
claim-launch-and-spin-not-read = launch and spin are not read.
claim-the-contact = the contact
claim-over-too-little-spin = { $by } over what its loft makes, with too little spin. Perhaps { $cause }.
claim-over-with-its-spin = { $by } over what its loft makes, with the spin it should have.
claim-leaves-at = it leaves at { $launch }, { $lower ->
    [yes] lower than
   *[no] as
} its loft makes it.
claim-struck = { $bad } of { $of } { $strike }{ $others ->
    [yes] , { $also } of { $theirs } with the other wedges
   *[no] {""}
}
claim-another-sole-would-tell = { $said }. Another sole from the same turf would tell whether it is the club.
claim-sole-is-tried-from-turf = { $said }: that may be chance. The sole is tried from turf, not from a mat.
claim-from-what-was-hit = { $said }, from what was hit so far.
claim-carry-not-read = carry is not read.
claim-carries-spread = its carries spread { $by }, { $share } of its carry
claim-hit-another-wedge = { $said }. Hit another wedge as often: it may be the swing.
claim-others-spread = { $said }; the other wedges { $share }
claim-line-not-read = line is not read.
claim-within-the-line = within { $by } of { $others ->
    [yes] the other wedges
   *[no] the line
}.
claim-off-the-line = { $by } { $right ->
    [yes] right
   *[no] left
} of { $others ->
    [yes] the other wedges
   *[no] the line
}. Its lie angle is the first thing to measure.
claim-off-the-line-by-chance = { $by } { $right ->
    [yes] right
   *[no] left
} of { $others ->
    [yes] the other wedges
   *[no] the line
}, which may be chance: hit more of it.
claim-wedges-beside-not-hit = the wedges beside it are not hit.
claim-step-to = { $step } to { $name }
claim-step-wanted = { $steps }; { $wanted } is wanted.
verdict-needs-shots = Needs shots
verdict-old-swing = Old swing, hit again
verdict-vetoed = Vetoed by the player
verdict-side-by-side = Side by side, no window
verdict-cannot-be-told = { SENTENCE($readings) } not read: cannot be told
verdict-too-close = Too close to call
    .golfer = Too close to tell
verdict-one-turn-away = One turn away: { $turn }
    .golfer = Fits after a turn of its sleeve: { $turn }
verdict-crowds = { $wedge ->
    [yes] Too near its neighbour:
   *[no] Crowds
} { $name }
verdict-keeps-the-yardage = Keeps the yardage, not the flight asked for
    .golfer = Goes as far as your old club, but does not fly as you wished
verdict-bend-away = { $n ->
    [1] A degree
    [2] Two degrees
   *[0] { $by } degrees
} { $weaker ->
    [yes] weaker
   *[no] stronger
} away
verdict-further-not-in-play = Further, but in play less often than the { $name }
    .golfer = Goes further, but ends in play less often than your { $name }
verdict-no-further = No further than the { $name }
    .golfer = Goes no further than your { $name }
verdict-fills-step-too-high = Fills its step, too high with too little spin
verdict-fills-step-sole-first = Fills its step, not before the sole is chosen
verdict-fills-its-step = Fills its step
    .golfer = Fits the step between your wedges
verdict-fills-the-slot = Fills the slot
    .golfer = Fits the distance you needed
verdict-does-what-was-asked = Does what was asked
    .golfer = Does what you asked for
verdict-fills-not-settled = Fills it, not settled
    .golfer = May fit: only more shots would make it sure
verdict-may-do-what-was-asked = May do what was asked, not settled
    .golfer = May do what you asked for: only more shots would make it sure
verdict-keep-the-old = Keep the { $name }: within noise
    .golfer = No better than your { $name }, as far as can be told
verdict-kept-after-tests = Keep the { $name }: as good in the test
verdict-recommended-after-tests = Recommended, by the test
verdict-keep-what-you-have = Keep what you have: no real gain
    .golfer = No better than what you have, as far as can be told
verdict-lands-too-flat = Lands too flat for this job
    .golfer = Comes down too flat to stay on the green
verdict-one-head-away = One head away
    .golfer = Another loft of the same kind may fit
verdict-off-the-slot = { $off } too { $short ->
    [yes] short
   *[no] long
} for this slot
    .golfer = { $off } too { $short ->
        [yes] short
       *[no] long
    } for the distance you needed
verdict-another-job = Does another job: { $name }
    .golfer = Better at another shot: { $name }
verdict-not-supported = Not supported by this speed
    .golfer = Asks for more club speed than you have today
verdict-accepted = In the bag for now
recommended-verdict = Recommended, { SMALL($headline) }
recommended-outside = Recommended, outside its window
    .golfer = Recommended, though it flies outside what was looked for
recommended-crowding = Recommended, outside its window, crowding { $name }
    .golfer = Recommended, though it flies nearly as far as your { $name }
recommended-though = Recommended, { $missed ->
    [landing_deg] though it lands flatter than asked
    [peak_m] though not as high as asked
    [spin_rpm] though its spin is not as asked
   *[nothing] not sure to do what was asked
}
change-read-it = A monitor that reads it, or ball speed, launch and spin, would tell.
change-sole-first = Choose the sole of the most lofted wedge first: its loft is tried in the chosen sole.
change-vetoed = The player’s word stands. It changes only if the player says so.
change-keep = A yardage or a job that the bag of today does worse.
change-not-supported = A head with its weight further back: a hybrid or a fairway wood of this carry.
change-odd-shots = Keep the odd shots or set them aside: the carry rests on them.
change-more-would-settle = About { $n } more with { $letter } would settle the carry.
change-look-at-strike = The carries spread too widely to settle: look at strike first.
change-turn = Predicted at { $by } { $more ->
    [yes] more
   *[no] less
} loft: { $after }{ $bent ->
    [yes] , { $bounce } { $more_bounce ->
        [yes] more
       *[no] less
    } bounce. Bend it and test it as a new build.
   *[no] . Turn it and test it as a new build.
}
change-after = { BARE($carry) } carry, give or take { BARE($give) }, { $landing } landing
change-a-stronger-head = A stronger head of this kind, or one step longer.
change-a-weaker-head = A weaker head of this kind, or one step shorter.
change-nothing-brings-it-in = No turn, length or next head of this kind brings it in: look at another kind of head, or at another slot.
change-length = At { $length }: { $after }. { $longer ->
    [yes] It spreads wider.
   *[no] It gathers, and feels lighter.
}
change-next-head = { $weaker ->
    [yes] A weaker head of its kind, { $by } more loft
   *[no] A stronger head of its kind, { $by } less loft
}{ $known ->
    [yes] {" "}({ $loft })
   *[no] {""}
}{ $on_the_rack ->
    [yes] , is on the rack
   *[no] {""}
}: { $after }. { $weaker ->
    [yes] Higher, with less roll.
   *[no] Lower, with more roll.
}
why-kept-so-far = { $have } kept so far. Hit { $need } more before anything can be said.
why-not-hit-yet = Not hit yet.
why-shots-have-no-carry = The shots so far have no carry, nor ball speed, launch and spin to compute one from.
why-every-shot-is-aside = Every shot so far is set aside. Keep the ones that count, or hit { $need } more.
why-hit-with-the-old-swing = Hit before the swing was changed: hit { $need } with the swing of now.
why-accepted = Carries { BARE($carry) }{ $read ->
    [yes] {" "}and stops at { BARE($stops) }
   *[no] {""}
}: the rest of the space is cut around it.
why-side-not-read = Direction not read: to the sides it counts as usual players spread.
why-single-shots-move-it = Single shots make that { $by } { $longer ->
    [yes] longer
   *[no] shorter
} than where they gather: look at them.
why-landing-not-read = Landing angle not read: whether it holds is not told.
why-a-miss-costs = A miss costs { $cost }.
    .golfer = A mishit loses { $cost }.
why-carries = Carries { BARE($carry) }.
    .golfer = It flies { $carry }.
why-carries-outside = Carries { BARE($carry) }, { BARE($off) } { $short ->
    [yes] short
   *[no] long
} of { BARE($low) } to { BARE($high) }.
    .golfer = It flies { $carry }, { BARE($off) } { $short ->
        [yes] short of
       *[no] past
    } the { BARE($low) } to { BARE($high) } you needed.
why-carries-inside = Carries { BARE($carry) }, inside { BARE($low) } to { BARE($high) }.
    .golfer = It flies { $carry }, and { BARE($low) } to { BARE($high) } was needed.
why-not-read = { $reading } not read: whether it is as asked is not told.
why-wanted = { $what ->
    [peak_m] Peaks at { $figure }
    [landing_deg] Lands at { $figure }
    [spin_rpm] Spins { $figure }
    [in_play] In play { $figure } in 100
   *[total_m] Stops at { BARE($figure) }
}; wanted: { $what ->
    [in_play] { $ends ->
        [both] { $low } in 100 to { $high } in 100
        [low] { $low } in 100 or more
       *[high] { $high } in 100 or less
    }
    [total_m] { $ends ->
        [both] { BARE($low) } to { BARE($high) }
        [low] { BARE($low) } or more
       *[high] { BARE($high) } or less
    }
   *[other] { $ends ->
        [both] { $low } to { $high }
        [low] { $low } or more
       *[high] { $high } or less
    }
}.
why-lands = Lands at { $lands }.
    .golfer = It comes down at { $lands }.
why-lands-too-close-to-call = Lands at { $lands }, too close to { $holds } to call.
    .golfer = It comes down at { $lands }, about what stays on the green ({ $holds }): too close to tell.
why-lands-beside-what-holds = Lands at { $lands }, { $shy ->
    [yes] shy of
   *[no] steeper than
} the { $holds } that holds.
    .golfer = It comes down at { $lands }, { $shy ->
        [yes] too flat: { $holds } stays on the green
       *[no] steep enough to stay on the green
    }.
compare-not-at-equal-strike = { $better } and { $worse } are not comparable at equal strike: { $n } more struck in the middle with { $letter } ({ $as_hit }).
compare-same-at-equal-speed = { $better } and { $worse } carry the same at equal club speed and strike, as far as anyone can tell ({ $as_hit }).
compare-same = { $better } and { $worse } { $metric ->
    [carry_m] carry the same
    [landing_deg] land alike
    [side_spread] are as straight as each other
    [jobs] do the jobs alike
   *[saves] save as much
}, as far as anyone can tell.
compare-ahead = { $better } { $metric ->
    [carry_m] carries { $by } further than
    [landing_deg] lands { $by } steeper than
    [side_spread] spreads { $by } less to the sides than
    [jobs] does { $by } more of the jobs a round than
   *[saves] saves { $by } strokes a round more than
} { $worse }
compare-doubt = { $said }{ $equal ->
    [yes] {" "}at equal club speed and strike, give or take { BARE($give) } ({ $as_hit })
   *[no] , give or take { BARE($give) }
}
compare-settled = { $said }: settled.
compare-not-worth-it = { $said } so far: not settled, and it would take more shots than it is worth.
compare-not-settled = { $said } so far: not settled, about { $n } more with each.
compare-as-hit-the-same = as hit they carry the same
compare-as-hit = as hit { $first } carries { $by } further than { $second }
fact = { $reading } { $good ->
    [yes] is as wanted
    [no] is outside what is asked for
   *[none] decides nothing here
}.
in-ten = { $n ->
    [0] hardly ever
    [1] once in 10
    [2] twice in 10
    [10] nearly always
   *[other] { $n } times in 10
}
does-no-job = { $n ->
    [1] It does not do the job named.
   *[other] It does none of the jobs named.
}
does-the-job = Does “{ $job }” { $often }{ $span ->
    [yes] {" "}({ $low } to { $high })
   *[no] {""}
}.
fails-the-job = { $nearly_all ->
    [yes] Nearly all
   *[no] { $n } in 10
} { $way ->
    [short] stop short
    [long] run through
    [left] go left
   *[right] go right
} on “{ $job }”.
lost-all-the-same = { $headline }, like the one chosen. { $why }
    .golfer = { $headline }, like the one chosen. { $why }
lost = { $headline }. { $why }
overruled = { $what ->
    [builds] { $clubs } { $n ->
        [one] was
       *[other] were
    } chosen
    [leaves] What leaves was chosen
   *[kept] What is there was kept
} by fitter and player against what was proposed: “{ $proposed }”
verdict-passed-over = Proposed, and passed over by fitter and player
    .golfer = Proposed, and not chosen
verdict-taken-all-the-same = Chosen by fitter and player, with no real gain to be seen
recommend-leaving-out = Leave out the { $clubs }
recommend-bag-stays = The bag stays as it is.
recommend-because = { $letter }: { $why }
recommend-left-out = Left out: { $clubs }.
cut-nothing-near = Carry { BARE($carry) }: nothing of the bag is near it.
cut-is-there = Carry { BARE($carry) }: the { $name } is there.
cut-is-off = Carry { BARE($carry) }: the { $name } is { BARE($off) } { $long ->
    [yes] long
   *[no] short
}
cut-no-bend = { $said }{ $known ->
    [yes] ; no bend that it bears brings a step inside the wish.
   *[no] .
}
cut-steps-inside = { $said }; its steps are inside the { $wanted } wanted{ $filled ->
    [yes] , with a part swing.
   *[no] .
}
cut-a-bend = { $said }; { $bend } should carry { BARE($carry) }, give or take { BARE($give) }.
cut-proposed-here = Carry { BARE($carry) }: { $name } is proposed here{ $instead ->
    [yes] , in place of the { $old }.
   *[no] .
}
strike-costs = { $strike ->
    [toe] The toe
    [heel] The heel
    [high] High on the face
    [low] Low on the face
    [thin] Thin
   *[fat] Fat
} costs { $cost } ({ $n } hit so).
spin-runs-far = Spin runs from { BARE($low) } to { $high }: single shots land unlike the average.
ends-by-the-face = Ends { $off } { $right ->
    [yes] right
   *[no] left
}, which is not the club but the face: { $face }, path { $path }.
beside-the-line = { $square ->
    [yes] square
   *[no] { $by } { $right ->
        [yes] right
       *[no] left
    }
}
ball-speed-needed = { $carry } needs { $wanted } off the face at this launch and spin; it has { BARE($has) }.
swung-faster-struck-worse = { $letter } was swung faster, struck worse, and went shorter.
change-label-loft = Turn the sleeve
change-source-loft = Oblique impact (T. P. Jorgensen, The Physics of Golf, 1994, ch. 7); face by turning about the shaft.
change-direction-loft = Most sleeves also stand the club more upright as loft goes up: read the maker’s table.
change-label-bend = Bend
change-source-bend = Oblique impact (Jorgensen, 1994, ch. 7). A bend turns the whole head, so the sole moves with the face.
change-label-lie = Bend the lie
change-source-lie = A face that leans towards the heel looks that way: lie times the tangent of loft. About 0.85 of it reaches the start, by judgement.
change-direction-lie = Carry and height stay. Turf marks on the toe or heel of the sole tell more than a lie board.
change-label-length = Length
change-direction-length = A longer club spreads shots wider and finds the middle less often. How much is the player’s own: hit it.
change-direction-length-also = The head feels heavier, about 6 swing-weight points for { $inch }.
change-label-grip-down = Grip down
change-direction-grip-down = Shots usually gather closer and strike improves: hit it to know.
change-label-head-weight = Head weight
change-source-head-weight = C. B. Daish, The Physics of Ball Games, 1972: speed against mass. The two nearly cancel.
change-direction-head-weight = The swing weight goes up about 1 point for 2 g. Feel and timing change more than distance.
change-label-weight-back = Weight to the back
change-source-weight-back = Centre of gravity behind the shaft axis bends the shaft forward into impact (Jorgensen, 1994).
change-direction-weight-back = Launch goes up a little, height with it; spin a little up or level.
change-direction-weight-back-also = Straighter on off-centre strikes; harder to shape. To the front it is the other way round.
change-label-weight-heel = Weight to the heel
change-source-weight-heel = A head whose weight lies nearer the shaft turns about it faster (Jorgensen, 1994).
change-direction-weight-heel = The face closes easier: for a right-hander the ball starts and bends further left. To the toe it is the other way round.
change-direction-weight-heel-also = The middle of the head moves with the weight: watch where on the face it is struck.
change-label-grip = Grip
change-source-grip = Shop practice, not a published figure: about one swing-weight point less for 5 g more of grip.
change-direction-grip = A thicker grip stills the hands of some players and frees those of others. No rule holds: hit it.
change-direction-grip-also = A heavier grip makes the head feel lighter.
caution-grip = Solvent and a blade: ventilate, wear gloves, cut away from yourself. Let it dry before anyone swings.
change-label-shaft-weight = Shaft weight
change-source-shaft-weight = Tests with players find little: a fifth of a percent of speed for 10 g, either way (shop practice, not a published figure).
change-direction-shaft-weight = Strike, tempo and start line differ from player to player. No rule holds: hit it.
change-no-size-known = No size is known well enough to compute: hit it.
change-source-lever-length = Lever length: at most 1.4% an inch at one turning speed. Less in tests with players (E. S. Wallace and others, J. Sports Sci. 25, 2007, 731).
caution-tight = Check that the head is tight and the screw at the maker’s torque before the next swing.
caution-bending = 2° at most unless the maker says otherwise; cast and hollow heads can crack. Eye protection; measure loft, lie and bounce again after.
caution-shaft-work = Heat, epoxy, solvent and dust: ventilate, wear gloves and eye protection, follow the maker’s data sheet.
change-between = { $change }: give a change between −{ BARE($most) } and { $most }, and not 0. More than that is another club: test it as one.
change-by = { $kind ->
    [loft] { $by } { $more ->
        [yes] up
       *[no] down
    }
    [bend] { $by } { $more ->
        [yes] weaker
       *[no] stronger
    }
    [length] { $by } { $more ->
        [yes] longer
       *[no] shorter
    }
    [grip_down] { $more ->
        [yes] grip down { $by }
       *[no] { $by } up the grip
    }
    [head_weight] { $by } { $more ->
        [yes] heavier head
       *[no] lighter head
    }
    [weight_back] { $by } { $more ->
        [yes] moved back
       *[no] moved forward
    }
    [weight_heel] { $by } { $more ->
        [yes] moved to the heel
       *[no] moved to the toe
    }
    [grip] { $by } { $more ->
        [yes] thicker grip
       *[no] thinner grip
    }
    [shaft_weight] { $by } { $more ->
        [yes] heavier shaft
       *[no] lighter shaft
    }
   *[lie] { $by } { $more ->
        [yes] more upright
       *[no] flatter
    }
}
more-with = { $alike ->
    [yes] each of { $first } and { $second }
   *[no] { $first } and { $n } with { $second }
}
own-club = the { $name } of the bag
old-in-play = The { $name } is in play { $n } times in 100.
air-against = { $wind } against
air-behind = { $wind } behind
air-cold-day = A cold day, { $warmth }
air-hot-day = A hot day, { $warmth }
air-up = Up at { $height }
eases-off = { $rank ->
    [well] Eases off well: { $n ->
        [one] 1 part swing
       *[other] { $n } part swings
    } repeat better than usual.
    [not] Does not ease off well: { $n ->
        [one] 1 part swing
       *[other] { $n } part swings
    } spread wider than usual.
   *[usual] Eases off about as most do, from { $n ->
        [one] 1 part swing
       *[other] { $n } part swings
    }.
}
card-too-few = { $n ->
    [0] not hit
   *[other] { $n } of { $least } shots
}
card-spreads-too-widely = spreads too widely to play by
card-no-step-from = no step from { $swing }
card-repeats-well = repeats well eased off
card-does-not-repeat = does not repeat eased off
card-loses-spin = loses { $share } of the spin its speed would give
card-eased = { $name } { $does }.
club-with-swing = { $name } { $swing }
card-nothing-between = Nothing between { BARE($low) } ({ $lower }) and { BARE($high) } ({ $higher }): { $apart }.
card-two-ways = { BARE($carry) }: { $first } and { $second }{ $told ->
    [yes] ; { $better } stops { $by } sooner.
   *[no] .
}
wind-takes = { $wind }: { $as_much ->
    [yes] as much carry
   *[no] { $by } { $less ->
        [yes] less
       *[no] more
    } carry
}, { $read ->
    [yes] computed
   *[no] by a usual flight of its kind, its launch was not read
}
wind = { $by } { $quarter ->
    [0] against
    [1] from the right
    [2] behind
   *[3] from the left
}
wind-from-any-side = { $by } from any side: { $less } less carry against, { $more } more behind, computed
lie-takes = from { $lie }: { $as_much ->
    [yes] as much carry
   *[no] { $by } { $less ->
        [yes] less
       *[no] more
    } carry
}{ $n ->
    [0] {" "}by judgement, not hit from there
   *[other] , with { $n } { $n ->
        [one] shot
       *[other] shots
    } hit from there
}
felt-asked-looks = Looks, at address
felt-asked-sound = Sound
felt-asked-feel = Feel
felt-asked-trust = Trust, standing over it
felt-asked-tee = Trust, off the tee
felt-is-marked = { $felt } is marked 1 to { $most }, or skipped.
felt-word-is-short = A word on it has { $most } characters at most.
felt-mark = { $felt ->
    [looks] looks
    [sound] sound
    [feel] feel
    [trust] trust
   *[tee] tee
} { $mark }
felt-not-to-be-played = not to be played
control-fresh = a fresh copy of the sole played now
control-nearest = the sole nearest to the one played now
control-own = the player’s own club
control-confounds-nearest = The control is not the sole that is played now, only the nearest: a sole that beats it need not beat the own.
control-confounds-own = The control is the player’s own club: a new one that beats it may do so by fresh grooves, or because he knows his own by its feel.
control-there-is-none = There is no control: the test tells which sole is liked best, not whether it is better than the own.
sole-test-has-soles = A sole test has { $least } to { $most } soles.
soles-of-one-loft = { $one } has { $loft } and { $other } { $other_loft }: soles are tried in one loft, within { $within }. Bend one, or leave it out.
soles-differ-else = { $what ->
    [shafts] The shafts differ
    [grips] The grips differ
   *[finishes] The finishes differ
} ({ $values }): what is liked may be that.
soles-differ-in-length = The lengths differ by { $by }: the lie and the feel of it may decide.
soles-differ-in-loft = The lofts are not one: within a degree, height and distance still differ a little.
belief-says-nothing = Belief says nothing here: { $delivery ->
    [yes] the bounces are not known.
   *[no] how the player comes down is not known.
}
belief = Belief: { $delivery } on { $ground } ground wants { $wants ->
    [more] more bounce
    [less] less bounce
   *[middling] a middling bounce
}, here { $name } with { $bounce }.
sole-club-own = the own { $name }
sole-club-bent = { $name }, bent { $by } { $weaker ->
    [yes] weaker
   *[no] stronger
}
belief-and-test = { $same ->
    [yes] The test says the same.
   *[no] The test liked { $liked } better: what was tried decides.
}
stop-line = { $name } lands { BARE($lands) }, { $stops ->
    [there] stops where it lands
    [releases] releases { BARE($by) }
   *[back] comes back { BARE($by) }
}{ $short ->
    [yes] : land it { $by } short
   *[no] {""}
}{ $firmer ->
    [yes] , { BARE($further) } on { $ground } ground.
   *[no] .
}
club-with-ball = { $name } with a { $ball } ball
stops-alike = { $first } and { $second } stop alike.
stops-sooner-paced-once = { $first } stops { $by } sooner than { $second }, paced once: by how much is open.
stops-sooner = { $first } stops { $by } sooner than { $second }, give or take { BARE($give) }{ $sure ->
    [yes] .
   *[no] : not told apart yet.
}
stop-seen-to-run-further = seen on the green, { $old } runs { $by } further than { $fresh }{ $computed ->
    [yes] , where { $model } is computed
   *[no] {""}
}
stop-seen-to-stop-as-soon = seen on the green, { $old } stops { $sooner ->
    [yes] { $by } sooner than { $fresh }
   *[no] as soon as { $fresh }
}{ $computed ->
    [yes] , where { $model } is computed
   *[no] {""}
}
grooves-spins = the fresh one spins { $by } { $more ->
    [yes] more
   *[no] less
}{ $told ->
    [yes] {""}
   *[no] , within noise
}
grooves-stops = { $as_soon ->
    [yes] stops as soon
   *[no] stops { $by } { $sooner ->
        [yes] sooner
       *[no] later
    }
} on { $where }{ $told ->
    [yes] , give or take { BARE($give) }
   *[no] {""}
}
grooves-nothing-read = nothing was read of both
grooves-replace = Worth replacing: { $why }.
claim-by-test = { $why }{ $otherwise ->
    [yes] ; computed from full swings it does otherwise, and what was tested counts.
   *[no] .
}
grooves-runs-further = { $lie }, { $old } runs { $by } further than { $fresh }
grooves-not-hit-yet = Not told yet: { $n } shots with each from { $lies }. Wear shows when it is wet.
grooves-keep = Keep { $old }{ $known ->
    [yes] , { $rounds } rounds old or not
   *[no] {""}
}: { $why }.
grooves-cannot-be-seen = what it loses to { $fresh } cannot be seen on the green
grooves-read-at-one-loft = { $fresh } has { $loft }: its balls are read as they would have left with the { $at } of { $old }.
grooves-not-told-by-many = Not told yet, and over { $n } more with each would tell: look at strike first.
grooves-not-told-yet = Not told yet: about { $n } more with each, from the lie that spreads most.
grooves-range-balls = Hit with range balls: their covers say little of grooves. Hit it again with the player’s ball.
grooves-delivered-otherwise = { CAPITAL($lie) }, the fresh one was delivered otherwise ({ $how }): part of the difference is the swing.
grooves-rounds-say-nothing = { $rounds } rounds are why it is tested, and say nothing of the outcome.
delivered-faster = { $by } { $faster ->
    [yes] faster
   *[no] slower
}
delivered-flatter = { $by } { $flatter ->
    [yes] flatter
   *[no] steeper
}
delivered-with-loft = { $by } { $more ->
    [yes] more
   *[no] less
} loft at impact{ $told ->
    [yes] , by launch and spin
   *[no] {""}
}
verdict-look-at-single-shots = Look at single shots first
blind-guessed-wrong = Blind, the player took the old one for the new one: what he believes of it is not the grooves.
blind-guessed-certain = Blind, the player told the new one from the old, and was certain of it.
blind-guessed-right = Blind, the player took the right one for the new one and was { $sure }: by chance that is right once in two.
grooves-a-medium-green = a medium green
grooves-green-of-a-job = the green of “{ $job }”
wedges-leave = { $first } leaves { $up ->
    [more] { $by } higher
    [less] { $by } lower
   *[same] as high
} { $spins ->
    [same] with as much spin
   *[other] with { $spin } { $spins ->
        [more] more
       *[less] less
    }
} { $up ->
    [same] as
   *[other] than
} { $second }{ $speed ->
    [same] {" "}at the same speed
    [more] , swung { $faster } faster
    [less] , swung { $faster } slower
   *[unknown] {""}
}.
wedges-repeat = { CAPITAL($how) }.
wedges-alike-even = evenness alike
wedges-more-even = { $letter } { $what ->
    [carry] carries
   *[spin] spins
} more evenly (within { $mine }, { $other } within { $theirs })
sole-known-already = { $name } is the sole that is played now{ $alone ->
    [yes] : nothing is to be learned anew.
   *[no] , and as good as any here: with it nothing is to be learned anew.
}
sole-worst-lie-once-more = { $name } met one lie badly ({ $lie }): try it there once more.
sole-repeats-worst = { $name } repeats its distance worse than the others: carries scatter by { $by }.
sole-at-odds-loosest = it repeats its distance worse than the others
claim-leaned-into = { $name } was met with { $by } { $more ->
    [yes] less
   *[no] more
} loft, by launch and spin: part of the difference is the swing.
grooves-seen-on-the-green = the green, as it was seen
sole-opens-less = With { $name } the face is opened less than with the others.

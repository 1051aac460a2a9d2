rack-longer-than = { $longer } is { $by } longer than { $shorter }
rack-not-made-left-handed = not made left-handed
rack-made-left-handed-only = made left-handed only
rack-none-stock = none in stock
rack-vetoed-player = vetoed by the player
rack-over-budget = { $price } is over the budget
rack-cannot-had-now-there = The { $name } cannot be had now: there is none in stock.
rack-does-not-go-into = { $name } does not go into a { $kind }.
rack-does-not-fit = { $shaft } does not fit the { $head }: its tip is { $tip }, the hosel { $hosel }.
rack-bonded-does-not-turn = The { $name } is bonded and does not turn.
rack-no-position-gives = No position of the { $name } gives { $loft }: { $offered }.
rack-turns-either-way = The { $name } turns { $by } either way.
rack-not-known-state-first = The { $what } of the { $name } is not known. State it first.
rack-has-no-sleeve-turn = The { $name } has no sleeve to turn. Bend it, if it can be bent.
rack-has-sleeve-turn-do = The { $name } has a sleeve: turn it, do not bend it.
rack-not-bent = A { $kind } is not bent.
rack-fixed-does-not-turn = fixed: it does not turn
rack-off = { $by } off
rack-should-carry = Should carry { BARE($carry) }{ $rolls ->
    [yes] {" "}and stop at { BARE($stops) }
   *[no] {""}
}
rack-give = Give the { $what }.
rack-has-over-characters = The { $what } has over { $most } characters.
rack-label-what-stands-sole = The label is what stands on the sole, such as 4H: ten characters at most.
rack-putters-do-not-stand = Putters do not stand on this rack.
rack-putter-not-fitted-here = A putter is not fitted here.
rack-sleeve-has-positions-most = A sleeve has { $most } positions at most.
rack-give-each-position-sleeve = Give each position of the sleeve a name of its own.
rack-positions-name-has-no = A position’s name has no semicolon and no apostrophe in it.
rack-flex-material-word-each = Flex and material are a word each, ten characters at most.
rack-say-which-kinds-head = Say for which kinds of head the shaft is made.
rack-what-length-of-a-club = The length of a club
rack-what-age-of-a-club = The age of a club
rack-what-length = The length
rack-what-lie = The lie
rack-what-bounce = The bounce
rack-what-weight-of-a-head = The weight of a head
rack-what-bore-of-a-hosel = The bore of a hosel
rack-what-a-sleeve-turns-either-way = What a sleeve turns either way
rack-what-is-in-stock = What is in stock
rack-what-price = The price
rack-what-tip = The tip
rack-what-balance-point-as-a-share-of-its-length = The balance point, as a share of its length
usual-light-wood-shaft = Light wood shaft
usual-wood-shaft = Wood shaft
usual-firm-wood-shaft = Firm wood shaft
usual-light-hybrid-shaft = Light hybrid shaft
usual-hybrid-shaft = Hybrid shaft
usual-firm-hybrid-shaft = Firm hybrid shaft
usual-utility-shaft = Utility shaft
usual-wedge-shaft = Wedge shaft
usual-what-weight-of-a-shaft = The weight of a shaft
rack-hit-them-with-one-shaft = To tell heads apart, hit them with one shaft.
rack-heavier-shaft = { $heavier }’s shaft is { $by } heavier than { $lighter }’s
rack-other-flex = { $one } is { $flex } flex, { $other } { $other_flex }
rack-one-not-left-handed = The { $name } is not made left-handed.
rack-one-left-handed-only = The { $name } is made left-handed only.
rack-bends-no-further = The { $name } { $bends ->
    [yes] may be bent { $most } in { $what } at most
   *[no] is not bent
}, by what is known of how it is made. The maker’s word comes first.
rack-club-is-so-long = A club is { BARE($low) } to { $high } long.
rack-comes-no-nearer = comes no nearer than { $loft }
rack-is-at-already = is at { $loft } already
from-rough-fairway = From rough a large head grabs: test it there.
from-rough-hybrid = Best from rough.
from-rough-utility = From rough it comes out low.
rack-no-club-carries = Out of reach: at this speed no club of the long end carries { $carry }; about { BARE($most) } is the most.
rack-lands-at-the-most = Out of reach at this speed: a club that carries { $carry } lands at { $lands } at the most, a { $kind }.
rack-within-reach-up-to = { $holds } is within reach up to about { $longest }.
rack-not-supported = Not supported by this speed: { $ball_speed } off the face comes down at { $landing }.
rack-should-be-outside = Should be { $off } { $short ->
    [yes] short of
   *[no] past
} the window
rack-should-be-inside = Should be in the window at { BARE($carry) }
rack-should-do = { $carries }{ $how ->
    [about] {" "}and lands about as asked
    [as-asked] {" "}and lands as asked
    [flatter] {" "}but lands { $flatter } flatter than asked
    [unknown] , how it lands is not known
   *[nothing] {""}
}{ $misses ->
    [yes] , but { $missed }.
   *[no] .
}
rack-misses = { $by } { $what ->
    [peak_m] { $under ->
        [yes] too low
       *[no] too high
    }
    [landing_deg] { $under ->
        [yes] too flat
       *[no] too steep
    }
    [spin_rpm] { $under ->
        [yes] short of the spin
       *[no] over the spin
    }
   *[total_m] { $under ->
        [yes] short of it
       *[no] past it
    }
}
rack-made-in = { $name } is made in { $loft }.
rack-not-made-in = Not made in { $loft }: { $name } bent { $bend } { $shorter ->
    [yes] weaker
   *[no] stronger
}{ $told ->
    [yes] , { $bounce } of bounce
   *[no] {""}
}, about { $step } { $shorter ->
    [yes] shorter
   *[no] longer
} than as it is made. Hit it as a build of its own.
of-length = { $length }
of-loft-set = { $loft } set to { $set }
of-a-shaft = { $shaft }, { $weight } { $flex }
sheet-turns = turns { $by }
sheet-bonded = bonded
sheet-of-a-shaft = { $shaft }, { $weight }, { $flex }, { $material }
sheet-head = Head
sheet-stated-loft = Stated loft
sheet-loft-as-bent = Loft as bent
sheet-set-loft = Set loft, as hit
sheet-measured-loft = Measured loft
sheet-lie = Lie
sheet-bounce = Bounce
sheet-sole = Sole
sheet-finish = Finish
sheet-work = Work
sheet-length = Length
sheet-shaft = Shaft
sheet-grip = Grip
sheet-stamping = Stamping
sheet-stock-swing = Stock swing
sheet-sleeve = Sleeve
sheet-price = Price
rack-not-between = { $what }: { BARE($low) } to { $high }, not { BARE($value) }.
rack-stated-loft-of = The stated loft of a { $kind }
rack-loft-of = The loft of a { $kind }
rack-of-a-club-lie = The lie of a club
rack-of-a-club-bounce = The bounce of a club
rack-position-loft = Position { $name }, loft
rack-position-lie = Position { $name }, lie
rack-position-face = Position { $name }, face
rack-what-weight-of-a-shaft = The weight of a shaft

## A set of irons ordered as one thing

set-hit-one-first = Hit an iron of the set first: the rest is told from it.
set-launch-not-read = Of { $name } no launch and spin were read: what a bend does to it cannot be told. Order it as it was hit, or hit it so bent.
recommend-with-its-set = { $clubs } with its set, { $longest } to { $shortest }
set-not-chosen = Choose the iron that was hit, then its set.
set-nothing-to-order = Of this build’s model the rack has no other iron. Put the set on the rack first, with its lofts and lengths.
set-head-not-to-be-had = One of these heads is not on the rack for this player. Choose again.
set-holds-the-one-hit = A set holds the { $name } that was hit and one more at least.
set-bent-too-far = A set is bent by { $most } at most.
set-two-of-one-number = Two of these heads are a { $number }: choose one.
set-own-is-fixed = The player’s { $name } is fixed in the bag: leave that number out of the set, or free it in the bag.
set-stay-as-made = { $clubs } { $n ->
    [one] does
   *[other] do
} not bear all of the bend, by what is known of how { $n ->
    [one] it is made: it stays without it. Ask the maker to build it
   *[other] they are made: they stay without it. Ask the maker to build them
} so.
set-model-not-hit = Of the { $model } nothing was hit: what it does is a guess. Hit one of it before it is ordered.
set-lies-apart = Lies do not meet: { $longer } stands at { $one }, { $shorter } at { $other }. Have one of them set.
set-lofts-meet = { $longer } meets { $shorter }: { $step } apart, beside steps of { $usual }.
set-lofts-bend = { $longer } and { $shorter } are { $step } apart beside steps of { $usual }: { $name } { $by } { $weaker ->
    [yes] weaker
   *[no] stronger
} makes them meet.
set-lofts-apart = { $longer } and { $shorter } are { $step } apart beside steps of { $usual }, and neither bears the bend: order one of them so built.
set-told-from = { $model }, { $longest } to { $shortest }, told from { $name }, which carries { $carry }{ $beside ->
    [none] .
    [same] , as the { $own } does.
    [more] , { $by } more than the { $own }.
   *[less] , { $by } less than the { $own }.
}
set-so-sure = the { $name } (give or take { $give })
set-hit-first = Hit first at delivery: { $clubs }.
set-two-do-one-job = { $upper } and { $lower } are { $step } apart: two clubs for one job.
set-step-too-wide = { $upper } to { $lower } is { $step }, asked is { $asked }{ $told ->
    [yes] : { $closes }
   *[no] .
}
set-hole-above = { $open } is uncovered between { $lower } and { $upper }.
set-next-of-it = the set’s { $name } at { $loft } lies between.
set-starts-by = the { $name } { $by }
set-lie-through = { $by } { $upright ->
    [yes] more upright
   *[no] flatter
} through the set starts { $clubs } further { $left ->
    [yes] left
   *[no] right
}.

bag-balls-not = 1 to { $most_balls } balls, not { $balls }.
bag-one-ball-within-nothing = One ball is within nothing of itself. Leave the spread out.
bag-spread-over-nought-under = A spread over nought and under half the carry.
bag-read-off-screen = { $balls } { $balls ->
    [one] ball
   *[other] balls
}{ $told ->
    [yes] , all within { $within }
   *[no] {""}
}, read off a screen
bag-between = between { $lower } and { $upper }
bag-changes-no-hole = Changes no hole.
bag-but = { $first }, but { $rest }.
bag-widest-hole-stays = The widest hole stays { $now }.
bag-no-hole-opens = No hole opens.
bag-no-hole-left = No hole is left.
bag-only-past = { $upper } is only { $step } past { $lower }
bag-no-hole-rule = No hole by this rule.
bag-needs-carry-more-than = { $name } needs a carry of more than 0.
bag-total-far-under-carry = { $name }: the total is far under the carry. Are the two swapped?
bag-give-both-ends-step = Give both ends of the step, or neither for the usual one.
bag-step-runs-from-smaller = A step runs from its smaller to its larger end, { BARE($low) } to { $high }.
bag-irons-wedges-played-into = Irons and wedges are played into greens: roll-out covers nothing there.
bag-flies-lower-than-both = { $name } flies lower ({ $peak }) than both its neighbours. It will not hold what they hold.
bag-no-club-needed = No club is needed { $between }.
bag-come-up-round = come up { $times } a round
bag-no-job-named-met = are in no job that is named, and are met now and then
bag-carry-same = { $lower } and { $upper } carry the same
bag-carries-past = { $upper } carries { $step } past { $lower }
bag-does-not-carry-further = { $name } does not carry further than { $name2 }.
bag-plan-clubs-one-hole = Plan 1 to { $most_clubs } clubs for one hole.
bag-closes = Closes the { $open } between { $lower } and { $upper }
bag-stays-open = Of the { $open } between { $lower } and { $upper }, { BARE($left) } stay open { $above ->
    [yes] above
   *[no] below
} it{ $both ->
    [yes] {" "}and { BARE($other) } { $otherwise ->
        [yes] above
       *[no] below
    } it
   *[no] {""}
}
bag-no-hole-where-it-lands = There is no hole where it lands
bag-only-from-yours = only { $step } { $under ->
    [yes] under
   *[no] past
} your { $name }
bag-widest-hole-goes = The widest hole goes from { BARE($was) } to { $now }.
bag-widest-hole-left = Widest hole left: { $open } between { $lower } and { $upper }. Its window: carry { BARE($low) } to { BARE($high) }.
bag-uncovered = { $open } uncovered between { $lower } and { $upper }
    .golfer = { $open } without a club between your { $lower } and your { $upper }
bag-step = { BARE($least) } to { BARE($most) }
bag-irons-stop = The irons stop stepping at the { $upper }: { $step } past the { $lower }, where { BARE($usual) } is usual. The long end starts there.
bag-lands-steeper = { $longer } lands steeper than { $shorter }: { $mine } against { $theirs }.
bag-spins-more = { $longer } spins more than { $shorter }: read it with speed and launch.
bag-muddled = { $lower } and { $upper } are { $step } apart: { $often } shots in 10 of one land in the other’s yardage.{ $crowded ->
    [yes] {" "}One fewer would do.
   *[no] {""}
}
times-whole = { $n ->
    [1] once
   *[2] twice
}
times = { $count } times
bag-clubs-belong = { $n ->
    [0] No club
    [1] One club
    [2] Two clubs
    [3] Three clubs
   *[4] Four clubs
} { $n ->
    [0] belongs
    [1] belongs
   *[other] belong
} { $between }
bag-seldom-comes-up = { $belong }: the yardages there { $often }. By space alone it would be { $n ->
    [0] no club
    [1] one club
    [2] two clubs
    [3] three clubs
   *[4] four clubs
}.
bag-closer-than-can-be-used = { $belong }: { $n ->
    [0] no club
    [1] one club
    [2] two clubs
    [3] three clubs
   *[4] four clubs
} would close the space, but in steps under { $least }, closer than this speed and spread can use.
bag-smallest-useful-step = { $belong }. The smallest useful step here is { $least }.
bag-lofts-apart-carries-not = { $lower } and { $upper } are { $apart } apart in loft and only { $step } in carry.
bag-lofts-alike-carries-not = { $lower } and { $upper } are { $apart } apart in loft, yet { $step } in carry.
bag-left-between = { $left } between where { $lower } stops and that carry
bag-rolls-past = { $lower } rolls { $left } past that carry
bag-land-in-the-others = { $n } in 10 of one land in the other’s yardage
bag-told-apart = they are told apart
bag-serves-elsewhere = Serves between { $lower } and { $upper } too: { $open } are open.
bag-swap-partner = Swap partner of { $name }: the same carry, { $by } { $higher ->
    [yes] higher
   *[no] lower
}.
bag-stands-in = Could stand in for { $name }: { $differ ->
    [yes] { $apart } apart
   *[no] the same carry
}.
bag-like-for-like = Like for like
bag-carry-of-the-old = { $does }: { $name }’s carry of { BARE($carry) }, give or take { BARE($kept) }, so that no yardage is relearned.
bag-step-under = A step of { BARE($least) } to { $most } under { $name }.
bag-makes-steps = { $n ->
    [1] One club
    [2] Two
    [3] Three
   *[4] Four
} { $n ->
    [1] makes
   *[other] make
} steps of { $size }; you want { $wanted }.
bag-closes-it = { $n ->
    [1] One club closes
    [2] Two close
    [3] Three close
   *[4] Four close
} it.
bag-leaves = { $n ->
    [1] One club leaves { $each } either side.
    [2] Two leave { $each } between each.
    [3] Three leave { $each } between each.
   *[4] Four leave { $each } between each.
}
bag-more-make-steps = { $n ->
    [1] One club
    [2] Two
    [3] Three
   *[4] Four
} make steps of { $size }.
bag-more-close-it = { $n ->
    [1] One club
    [2] Two
    [3] Three
   *[4] Four
} close it.
gap-rule-roll-out = roll-out meets carry
gap-rule-carry-only = carry only
gap-rule-even-steps = even carry steps
round-band = { BARE($low) } to { $high }

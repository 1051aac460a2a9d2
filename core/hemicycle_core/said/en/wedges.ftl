wedges-divots-said = The divots said { $kind }.
wedges-not-known-call-from = Not known: call it from the divots, or let the monitor read it.
wedges-called-from-divots = { CAPITAL($kind) }, as called from the divots.
wedges-published-averages-up-set = Published averages up to the set wedge; beyond it reckoned from impact and friction, and moved to how this player leans the shaft. Good to about 2° of launch and a tenth of the spin.
wedges-worn-was-stated = worn, as it was stated
wedges-rounds-old = { $age_rounds } rounds old
wedges-hit-from-turf-off = Hit it from turf: off a mat a sole neither digs nor sits up.
wedges-contact-high-face = the contact is high on the face
wedges-called-high = { $high } of { $called } called high
wedges-powder-face-call-next = Powder the face and call the next five strikes.
wedges-grass-face-wet = the grass or the face is wet
wedges-hit-from-wet-turf = hit from wet turf
wedges-wipe-face-ball-hit = Wipe face and ball, hit five from dry turf or a mat.
wedges-grooves-worn = the grooves are worn
wedges-hit-fresh-one-loft = Hit a fresh one of its loft beside it, dry and wet.
wedges-sole-digs-so-ball = the sole digs, so that the ball rides up the face
wedges-hit-wider-sole-more = Hit a wider sole or more bounce of its loft from the same turf.
wedges-sole-sits-up-firm = the sole sits up on firm ground, the face open above all
wedges-hit-square-from-softer = Hit it square and from softer turf; then less bounce from the same turf.
wedges-launch-spin-not-read = Launch and spin are not read: its flight cannot be held against its loft.
wedges-so-few-shots-may = With so few shots that may be chance.
wedges-high-little-spin-hard = High with little spin: hard to control, in wind above all.
wedges-higher-than-loft-speed = Higher than its loft and speed make, with the spin it should have.
wedges-less-spin-than-loft = Less spin than its loft and speed make.
wedges-lower-more-spin-easier = Lower with more spin: easier to control.
wedges-loft-speed-make = As its loft and speed make it.
wedges-shortest-first-most-lofted = Shortest first: the most lofted wedge plays the widest set of shots, so its sole and loft come first and the rest is cut up to the set wedge.
wedges-from-set-wedge-down = From the set wedge down: its carry is the one that is there, and each wedge steps down from it.
wedges-hit-when-here-until = hit { $name } when it is here: until then its carry is a prediction
wedges-hit-more = hit { $name } { $n } more { $n ->
    [one] time
   *[other] times
}{ $at_most ->
    [yes] {" "}at the most you would hit it on the course
   *[no] {""}
}
wedges-wider-than-wanted = { $over } wider than the { $wanted } wanted.
wedges-ball-step = Ball speed steps by { $by }: { BARE($low) } to { $high } is usual.
wedges-two-do-same = The two do the same.
wedges-no-step = { $near ->
    [yes] Near on purpose
   *[no] No step
}: { $name } is kept for { $shot }.
wedges-narrower-than-wanted = Narrower than the { $wanted } wanted.
wedges-wanted = As wanted.
wedges-both-ends = Both ends
wedges-cut = The cut
wedges-no-step-too-wide = No step is too wide.
wedges-chosen = Chosen: { $sole }.
wedges-not-chosen-yet = Not chosen yet for { $name }.
wedges-not-stated = not stated
wedges-sole = Sole of { $name }
wedges-loft = Its loft
wedges-first-both-ends = First both ends: { $missing }.
wedges-closer-than-spread-cannot = Closer than { $useful } this spread cannot use.
wedges-full-shot-into-comes = A full shot into it comes up less than once in two rounds.
wedges-part-swings-repeat = This player’s part swings repeat: the wide steps may stand.
wedges-part-swings-do-not = This player’s part swings do not repeat: a wedge for each yardage.
wedges-fewer-wanted = Fewer are wanted.
wedges-part-swings-so-far = The part swings so far repeat about as most players’ do: either may be right.
wedges-no-shot-wedge-used = “{ $use }” is no shot that a wedge is used for.
wedge-wish-even = even steps
wedge-wish-lower = lower flight, more spin
wedge-wish-stop = more stop on short shots
wedge-wish-fewer = fewer wedges
wedge-wish-fresh = the same but fresh
wedge-wish-trip = a trip with another set
wedge-wish-leads-even = The space between the ends is cut into equal steps.
wedge-wish-leads-lower = Launch and spin of each wedge are held against its loft; of two that are as good the lower one with more spin is chosen.
wedge-wish-leads-stop = Short jobs into firm greens weigh in; old against fresh is worth hitting.
wedge-wish-leads-fewer = Part swings decide how wide a step may stand: hit three-quarter and half.
wedge-wish-leads-fresh = Like for like: the old one’s carry and flight are what a new one is held against.
wedge-wish-leads-trip = A course of its own with its share of the rounds, and a plan that swaps clubs for it.
complaint-runs-out = it does not stop
complaint-balloons = it flies too high
complaint-digs = it digs
complaint-thin = it is thinned
complaint-sand = it stays in the sand
complaint-distance = its distance varies
complaint-gap = its step is wrong
complaint-line = it goes off line
complaint-worn = its grooves are gone
delivery-steep = steep
delivery-middling = neither steep nor shallow
delivery-shallow = shallow
divots-steep = deep divots
divots-middling = divots of a usual depth
divots-shallow = hardly a divot
wedges-delivery-measured = { CAPITAL($kind) }: { $by } { $down ->
    [yes] down
   *[no] up
} over { $n } wedge shots, measured.
wedges-steep-delivery = a steep delivery
wedges-shallow-delivery = a shallow delivery
wedges-of-bounce = { $bounce } of bounce
wedges-soft-turf = soft turf
wedges-firm-turf = firm turf
wedges-hit-at-the-most = hit { $name } { $n } times at the most you would hit it on the course
wedges-both-stand = { BARE($low) } with { $lowest }, { BARE($high) } with { $highest }
wedges-steps-too-wide = { $n } { $n ->
    [one] step is
   *[other] steps are
} too wide.
wedges-loft-carries = { $loft }, carries { BARE($carry) }.
wedges-steps-wanted = steps of { BARE($least) } to { $most } are wanted
wedges-between-ends = { BARE($low) } to { $high }, and no step is too wide: { $asked }.
wedges-widest-step = { $step } between { $lower } and { $upper }: { $asked }, a tenth more at most.
wedges-span = { $space } from { $lowest } to { $highest }
wedges-by-school = { $span }: a wedge for each yardage asks for { $each ->
    [0] no wedge
    [1] one wedge
    [2] two wedges
    [3] three wedges
   *[4] four wedges
} between; with part swings { $part ->
    [0] none is needed
    [1] one wedge will do
    [2] two wedges will do
    [3] three wedges will do
   *[4] four wedges will do
}, in steps of { BARE($step) }.
wedges-by-either-school = { $span }: { $n ->
    [0] no wedge
    [1] one wedge
    [2] two wedges
    [3] three wedges
   *[4] four wedges
} between, by either school.
wedges-fewer-costs = { $eases ->
    [well] This player’s part swings repeat.
    [not] This player’s part swings do not repeat: that is what it costs.
   *[unknown] Hit part swings to know what it costs.
}
wedges-hit-part-swings-to-know = Hit part swings to know whether they repeat.
wedges-used-times-a-round = A wedge is used 0 to { $most } times a round for one shot.
wedges-no-complaint = “{ $complaint }” is no complaint that can be tested.
wedges-kept-for-sand = sand
wedges-kept-for-one-shot = one shot
wedges-kept-out-open = { $names } { $n ->
    [one] is
   *[other] are
} kept out of the steps: under { $low }, { $carry }, nothing is counted.
wedges-kept-for-the-lob = the lob

brief-what-must-carried-lies = “{ $name }”: what must be carried lies behind the target.
brief-width-depth-must-more = “{ $name }”: width and depth must be more than 0.
brief-between-uses-round = “{ $name }”: between 0 and 18 uses a round.
brief-wind-comes-from-degrees = “{ $name }”: wind comes from 0 to 359 degrees, 0 against.
brief-question-not-rule-explains = A question, not a rule: it explains a flight, it does not judge it.
brief-known-from-shots-hit = Known to ±{ $off } from the shots hit.
brief-guide-good-about-jobs = A guide, good to about 2°: the jobs played out decide.
brief-both-neighbours-heights-known = Both neighbours’ heights are known.
brief-only-one-neighbours-height = Only one neighbour’s height is known.
brief-not-under-neighbours-higher = Not under the neighbours: { $heights }. Higher is no fault.
brief-sure-width-was-given = As sure as the width that was given.
brief-does-what-does = does what the { $name } does
brief-keeps-yardage = keeps the yardage of the { $name } and { $does }
brief-hit-first-how-far = Hit the { $name } first: how far it goes and how often it is in play is what a new one is held to.
brief-goes-further-than-play = goes further than the { $name } and is in play as often
brief-further-than-more-than = Further than the { $name }, by more than a monitor reads.
brief-does-today = As { $name } does today.
brief-yardage-stays = The yardage of the { $name } stays.
brief-say-what-new-club = Say what the new club is to do: carry further or less far, land softer.
brief-club-cannot-carry-further = A club cannot carry further and less far: choose one of the two.
brief-place-what = In place of the { $name }: what { $does }.
brief-hit-first-flight-what = Hit the { $name } first: its flight is what the new one is held against.
brief-has-club-beats-more = The { $name } has { $has }; a club that { $does } beats that by more than a monitor reads.
brief-known-was-not-hit = Known to ±{ $off }: { $name } was not hit.
brief-name-one-yardage-band = Name one yardage, or a band from its lower to its upper end.
brief-what-was-asked-not = What was asked for is not cut to fit.
common-job-par-three = Long par three
common-job-par-five = Second into a par five
common-job-par-four = Long par four
common-job-water = Carry over water
common-job-tee = Tight tee shot
common-job-lay-up = Lay-up
common-job-rough = Out of the rough
common-job-full-wedge = Full wedge into a green
common-job-front-pin = Front pin over a bunker
common-job-pitch = { $far } pitch
common-job-pitch-from-semi-rough = { $far } pitch from semi-rough
common-job-chip = { $far } chip with green to work with
common-job-lob = Lob over a bunker, { $green } of green
common-job-sand = Sand, { $far }
job-distance-between = “{ $name }”: a distance between { $least } and { $most } is needed.
job-wind-up-to = “{ $name }”: a wind of up to { $most } can be played in.
job-green-reads-between = “{ $name }”: a green reads { $low } to { $high } on the meter.
brief-rolls-out-to = { $lower } { $read ->
    [yes] rolls
   *[no] is taken to roll
} out to { BARE($total) }{ $read ->
    [yes] {""}
   *[no] , as its kind does,
} and { $upper } carries { BARE($carry) }; by { $rule } this leaves the smallest holes.
brief-carries-cut = { $lower } carries { BARE($low) } and { $upper } { BARE($high) }; this cuts the space into { $rule }.
brief-known-typed = Known to ±{ $off }: { $clubs } { $n ->
    [one] was
   *[other] were
} typed, not hit.
brief-green-so-deep = “{ $name }” is a { $firmness } green { $depth } deep: from about { $holds } down the ball stays on{ $longest ->
    [yes] , as far as is asked of the longest club
   *[no] {""}
}.
brief-peak-of = { $name } { $peak }
brief-spin-of-a-wedge = The { $name } spins { $spin }: about that much is asked, and more is never against a wedge.
brief-spin-between = Between { $upper } at { BARE($less) } and { $lower } at { BARE($more) }; read it with speed and launch.
brief-so-wide = “{ $name }” is { $width } wide.{ $miss ->
    [left] {" "}Left is the miss to avoid.
    [right] {" "}Right is the miss to avoid.
   *[none] {""}
}
flight-wish-higher = flies higher
flight-wish-lower = flies lower
flight-wish-steeper = lands steeper
flight-wish-less-spin = spins less
flight-wish-more-spin = spins more
replace-way-longer = carries further than the { $name }
replace-way-shorter = carries less far than the { $name }
replace-way-softer = lands softer
replace-way-softer-than = lands softer than the { $name }
brief-usual-fairway = a fairway of { $width }
brief-wanted-far = Wanted: { $least } or more in all, and in play on { $where } at most { $more } in 100 less often than the { $name }.
brief-like-for-like = Like for like, so that no yardage is relearned.
brief-yardage-lies-between = A yardage to ask of a club lies between { BARE($low) } and { $high }.
brief-was-asked-for = { $band ->
    [yes] { BARE($low) } to { $high }
   *[no] { $low }
} was asked for{ $total ->
    [yes] , roll and all
   *[no] {""}
}.

flight-relative-humidity-must-lie = Relative humidity must lie between 0 and 1.
flight-not-anchored-no-measured = Not anchored: no measured carries yet. Figures come from the flight model alone.
flight-launches-need-values-not = { $n } launches need { $n } values of { $name }, not { $size }.
flight-anchoring-needs-measured-carry = Anchoring needs a measured carry of more than { $least } for every shot.
flight-matched-monitors-own-model = Matched to the monitor’s own model over { $n } shots ({ $size } { $way ->
    [longer] longer
   *[shorter] shorter
} than ours). This monitor does not measure flight, so that is agreement, not truth.
flight-anchored-measured-flights-players = Anchored to { $n } measured flights: this player’s ball flies as the model alone says.
flight-anchored-measured-flights-players-2 = Anchored to { $n } measured flights: this player’s ball flies { $size } { $way ->
    [longer] longer
   *[shorter] shorter
} than the model alone says.
flight-shots-need-one-air = { $n } shots need one air or { $n }, not { $airs }.
flight-scale-must-lie-between = A { $name } scale must lie between 0.3 and 3.
flight-roll-out-needs-least = A roll-out needs at least one landing.
flight-of-ball-speed = ball speed
flight-of-launch-angle = launch angle
flight-of-spin = spin
flight-of-launch-direction = launch direction
flight-of-spin-axis = spin axis
flight-cannot-be-flown = A { $name } of { $value } cannot be flown; it must lie between { BARE($low) } and { BARE($high) }.
flight-is-no-number = A { $name } that is no number cannot be flown; it must lie between { $low } and { $high }.
green-reads-between = A green reads { $low } to { $high } on the meter.
flight-altitude-between = Altitude must lie between { BARE($low) } and { $high }.
flight-temperature-between = Temperature must lie between { BARE($low) } and { $high }.
flight-wind-between = Wind must lie between 0 and { $most }.

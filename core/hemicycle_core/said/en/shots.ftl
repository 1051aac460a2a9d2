## What is read of a shot

reading-club-speed-mps = Club speed
reading-ball-speed-mps = Ball speed
reading-launch-deg = Launch angle
reading-direction-deg = Launch direction
reading-spin-rpm = Spin
reading-axis-deg = Spin axis
reading-attack-deg = Attack angle
reading-path-deg = Club path
reading-face-deg = Face angle
reading-dynamic-loft-deg = Dynamic loft
reading-carry-m = Carry
reading-total-m = Total
reading-offline-m = Offline
reading-peak-m = Peak height
reading-landing-deg = Landing angle
reading-hang-s = Hang time

## What cannot be used

shot-type-the-carry = Type the carry: how far it flew.
shot-total-behind-carry = The total is shorter than the carry. Which of the two is it?
shot-no-such-reading = “{ $key }” is not a quantity Hemicycle knows.
shot-reading-of-no-golf-shot = { $what } reads { $value }, which no golf shot has ({ BARE($low) } to { $high } is possible). Check the unit of the column.
shot-needs-a-carry = A shot needs a carry, or ball speed, launch angle and spin to compute one from.
shot-total-well-under-carry = Total is well under carry: are the two columns swapped?
shot-short-ones-left-out = { $n ->
    [one] 1 shot of a few yards is
   *[other] { $n } shots of a few yards are
} left out of it.
monitor-no-noise-kept = “{ $key }” has no noise that is kept.
monitor-noise-is-nought-or-more = { $label }: a noise is nought or more.
monitor-noise-of-no-monitor = { $label }: over { $most } times the usual is no monitor to fit with.
readout-no-such = “{ $key }” is nothing that is read out.
readout-leave-one = Leave at least one line to read out.

## Why a shot says nothing of its club's stock figures

apart-ball = { $ball } ball
apart-in-wind = in the wind
apart-swing = { $swing } swing
apart-gripped-down = gripped down { $by }

## A run of shots

run-swing-is-one-of = A swing is full, comfortable, three-quarter or half, or a clock position of the left arm, 6:00 to 11:30.
run-wind-lies-between = Wind lies between 0 and { $most } here.
run-wind-comes-from = Where the wind comes from is an angle from 0 to 359°.
run-gripped-down-at-most = A club is gripped down by nought to { $most }.
run-hit-with-other-balls = All of it was hit with { $ball } balls: the yardages are theirs, not those of the ball that is played.

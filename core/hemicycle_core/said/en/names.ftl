## Kinds of head

head-driver = driver
head-fairway = fairway wood
head-hybrid = hybrid
head-utility = utility iron
head-iron = iron
head-wedge = wedge
head-putter = putter

## What the ball lies on

lie-mat = mat
lie-tee = tee
lie-fairway = fairway
lie-tight = tight
lie-soft = soft
lie-semi-rough = semi-rough
lie-rough = rough
lie-sand = sand
lie-slope = slope
lie-wet = wet
lie-dry = dry

## Swings, by how long they are

swing-full = full
swing-comfortable = comfortable
swing-eased = eased
swing-three-quarter = three-quarter
swing-half = half
swing-hard = hard
swing-to = to { $clock }

## What was meant

intent-stock = stock
intent-low = low
intent-high = high
intent-draw = draw
intent-fade = fade
intent-eased = eased
intent-hard = hard
intent-yardage = yardage

## Where or how the ball was met

strike-toe = toe
strike-heel = heel
strike-high = high
strike-low = low
strike-thin = thin
strike-fat = fat

## Balls

ball-own = own
ball-hard = hard
ball-range = range
firmness-soft = soft
firmness-medium = medium
firmness-firm = firm
of-a-club-loft = loft
of-a-club-lie = lie
of-a-club-length = length
label-of-label = label
label-of-name = name
label-of-maker = maker
label-of-model = model
label-of-flex = flex
label-of-material = material
quantity-length = length
quantity-speed = speed
quantity-angle = angle
quantity-spin = spin
quantity-temperature = temperature
quantity-time = time
quantity-ratio = ratio
quantity-pressure = pressure
unit-yd = yards
unit-m = metres
unit-ft = feet
unit-mph = mph
unit-kmh = km/h
unit-mps = m/s
label-of-club = name of the club

## A wedge: its finish, its grooves and what it is taken for

finish-raw = raw
finish-plated = plated
finish-coated = coated
wear-fresh = fresh
wear-some = some wear
wear-worn = worn
wedge-use-full = full
wedge-use-part = part
wedge-use-pitch = pitch
wedge-use-chip = chip
wedge-use-sand = sand
wedge-use-lob = lob

## What the player said of looks, sound and feel

liking-liked = liked
liking-neutral = neutral
liking-disliked = disliked
liking-vetoed = vetoed

## Where a number comes from, what is hit from, sides and widths

made-unknown = not known
made-forged = forged
made-cast = cast
made-hollow = hollow
source-measured = measured
source-modelled = modelled
source-computed = computed
surface-mat = mat
surface-grass-tee = grass tee
side-right = right
side-left = left
side-both = both
sole-width-wide = wide
sole-width-medium = medium
sole-width-narrow = narrow

## What a choice saves, part by part, and what thresholds count

worth-yardages = yardages
worth-jobs = jobs
worth-fear = fear
worth-tests = tests
worth-price = price
counted-shots = shots
counted-shots-a-round = shots a round
counted-strokes = strokes
counted-strokes-a-round = strokes a round
counted-money = money

bag-all-within = All within
bag-balls-counted-whole = { $name }: balls are counted whole.
bag-of = { $what } of { $name }
bag-new-club = the new club
bag-averages-read-off-screen = Averages read off a screen
bag-so-many-balls-their-average = So many balls, their average, and within how far of it all of them were. Leave out what was not read. They are known as well as so many balls make it.
bag-another-5i = another, 5i
bag-another-club = Another club, { $at }
bag-of-2 = { $label } of { $name }
bag-take-them = Take them in
bag-what-missed-most = what is missed most
bag-widest-hole = the widest hole
bag-from-top = from the top
bag-from-bottom = from the bottom
bag-carry-map = Carry map
bag-rule-holes-drawn-by = Rule the holes are drawn by
bag-steps-turf = Steps and turf
bag-clubs-place = Clubs to place
bag-as-many-as-belong-here = As many as belong here
bag-belongs-here = { $proposed } { $proposed ->
    [one] belongs
   *[other] belong
} here
bag-step-long-end = Step at the long end
bag-step-irons-wedges = Step of irons and wedges
bag-set-steps = Set steps
bag-usual-steps = Usual steps
bag-first-work = First in work
bag-irons-wedges-by = Irons and wedges by
bag-roll-out = Roll-out on
bag-turf = { $turf } turf
bag-monitors-turf = the monitor’s turf
bag-least = { $label }, least
bag-most = { $label }, most
bag-eased = eased
bag-hard = hard
bag-loft-stated = Loft stated
bag-loft-as-set = Loft as set
bag-loft-gauge = Loft on the gauge
bag-rounds = rounds
bag-grip = Grip
bag-stamping = Stamping
bag-what-it-is = What it is
bag-some-assumed = (some of it assumed)
bag-not-said = not said
bag-stock-swing = Stock swing
bag-set-irons = of the set of irons
bag-kept-out-no-step = Kept for one shot: no step
bag-order-not-here-yet = on order, not here yet
bag-state-it = State it
bag-give-or-take = give or take
bag-as-measured = As measured { $knownFrom }.
bag-not-hit-assumed-from-other = Not hit: assumed from the other clubs, give or take { $carryDoubt } { $unit }.
bag-by-swing-before-hit-again = By the swing before: hit it again with the swing of now.
bag-carry-of-in = Carry of { $name } in { $unit }
bag-total-of-in = Total of { $name } in { $unit }
bag-give-or-take-2 = Give or take of { $name } in { $unit }
bag-shot-carry = Shot { $number }, carry { $carry }: { $which }
bag-bring-back = bring back
bag-set-aside = set aside
bag-by-fitter = by the fitter
bag-back-hole = Back to the hole
bag-replace-like-for-like = Replace it like for like
bag-no-reason-given = no reason given
bag-why-out-favour = Why the { $name } is out of favour
bag-out-favour-why = out of favour: why?
bag-back-favour = Back in favour
bag-out-favour = Out of favour
bag-fixed-stays-bag = Fixed: stays in the bag
bag-take-out-bag = Take out of the bag
bag-player = Player
bag-strike = Strike
bag-intent = Intent
bag-length-swing = Length of swing
bag-ball = Ball
bag-offline = Offline
bag-peak-height = Peak height
bag-landing-angle = Landing angle
bag-hang-time = Hang time
bag-club-speed = Club speed
bag-launch-angle = Launch angle
bag-launch-direction = Launch direction
bag-spin-axis = Spin axis
bag-attack-angle = Attack angle
bag-club-path = Club path
bag-face-angle = Face angle
bag-dynamic-loft = Dynamic loft
bag-yards = yards
bag-metres = metres
bag-feet = feet
bag-degrees = degrees
bag-file-over-4-mb-more = The file is over 4 MB, more than a session of shots. Export one session.
bag-driver = driver
bag-fairway-wood = fairway wood
bag-hybrid = hybrid
bag-utility-iron = utility iron
bag-iron = iron
bag-wedge = wedge
bag-putter = putter
bag-taken-in = Taken in
bag-shots-clubs-set-aside-had =
    { $shots ->
        [one] { $shots } shot
       *[other] { $shots } shots
    } of { $clubs ->
        [one] { $clubs } club
       *[other] { $clubs } clubs
    }. { $setAside } set aside. { $computed } had blanks filled by the flight model.
bag-were-left-out = { $here } and were left out.
bag-not-read = Not read
bag-see-carry-map = See the carry map
bag-import-shots = Import shots
bag-shots-file = Shots file
bag-any-csv-or-workbook-with = Any CSV or workbook with a header line. You see how it is read before anything is taken in.
bag-1-here-already = 1 is here already
bag-here-already = { $here } are here already
bag-no-header = no header
bag-blank = blank
bag-is = { $header } is
bag-unit-of = Unit of { $header }
bag-is-2 = { $header } is { $keys }
bag-leave-out = Leave out { $header }
bag-is-in = { $header } is in { $unitWords }
bag-whose-shots-go = Whose shots go in?
bag-no-name = no name
bag-shots =
    { $shots ->
        [one] { $shots } shot
       *[other] { $shots } shots
    }
bag-they-are = They are { $unitWords }
bag-right-as = Right as it is
bag-clubs = Clubs
bag-by-name-into-bag = By name into the bag
bag-by-letter-stand = , by letter to { $letters } on the stand
bag-no-club-named = no club named
bag-goes-to = { $written } goes to
bag-left-out = left out
bag-here-already-2 = , { $here } here already
bag-what-kind-club = What kind of club is it?
bag-kind-of = Kind of { $written }
bag-choose = choose
bag-columns = Columns
bag-as-last-time = as last time
bag-sheet = Sheet
bag-in-the-file = In the file
bag-first-shot = First shot
bag-is-3 = Is
bag-unit = Unit
bag-is-new = , { $shots } { $shots ->
    [one] is
   *[other] are
} new
bag-take-them-again = . Take them in again
bag-unlike-others = Unlike the others
bag-set-aside-line = Set aside { $club } { $carry } (line { $line }): { $why }
bag-left-out-2 = Left out
bag-answer-1-question-first = Answer { $open ->
    [one] 1 question
   *[other] { $open } questions
} first
bag-file-holds =
    { $shots ->
        [one] { $shots } shot
       *[other] { $shots } shots
    } with { $clubs ->
        [one] { $clubs } club
       *[other] { $clubs } clubs
    }; { $read ->
        [one] { $read } column
       *[other] { $read } columns
    } read, { $out } left out.
bag-take-shots =
    { $shots ->
        [one] Take in { $shots } shot
       *[other] Take in { $shots } shots
    }
bag-line = Line { $line }{ $which }: { $sentence }
bag-another-club-stand = Another club on the stand
bag-loft-borrowed-club = loft of the borrowed club
bag-borrowed-club = A borrowed club
bag-what-borrowed-club-called = What the borrowed club is called
bag-kind-borrowed-club = Kind of the borrowed club
bag-loft-borrowed-club-degrees = Loft of the borrowed club in degrees
bag-its-length-assumed-from-kind = Its length is assumed from kind and loft, and shown as assumed.
bag-as-it-is = as it is
bag-bent-weaker = bent, ° weaker
bag-bent-more-upright = bent, ° more upright
bag-made-longer = made longer, in
bag-gripped-down = gripped down, in
bag-heavier-head-g = heavier head, g
bag-weight-back-g = weight to the back, g
bag-weight-heel-g = weight to the heel, g
bag-thicker-grip-mm = thicker grip, mm
bag-amount-work = amount of the work
bag-one-players-own = One of the player’s own
bag-which-players-own-clubs = Which of the player’s own clubs
bag-what-done = What is done to it
bag-by-how-much-less-than = By how much, less than nothing for the other way
bag-which-shaft-gets = Which shaft it gets
bag-its-own-shaft = its own shaft
bag-heads-stand-one-loft = The heads on the stand at one loft
bag-loft-turn-degrees = Loft to turn to in degrees
bag-loft = loft, °
bag-turn = Turn { $turning }
bag-them = them
bag-left-out-3 = left out, { $why }
bag-to = to { $loft }°{ $which }
bag-kept = kept { $id }
bag-plans-for-bag = Plans for the bag
bag-among-with-up-club = Among { $searched } bag{ $searched2 ->
    [one] {""}
   *[other] s
} with up to { $clubsToPlace } new { $clubsToPlace ->
    [one] club
   *[other] clubs
}.
bag-named-jobs = on the named jobs
bag-widest = { $unit }, widest { $widest }
bag-of-4 = of { $mostClubs }
bag-too-many = { $over } too many
bag-plan = Plan { $plans }
bag-start-from = Start from
bag-take-away = Take { $name } away
bag-away = Away
bag-clubs-not-hit-yet-count = Clubs not hit yet count as the short list expects them.
bag-miss-costs-more = a miss { $miss } costs { $which } more
bag-one = one
bag-half-shot = half a shot
bag-on = on { $swapCourse }
bag-to-2 = ({ $savesLow } to { $savesHigh })
bag-in-and-out = { $name }: in and out
bag-swap-pair = Swap pair: on
bag-no-course = no course
bag-place-turn-round = { $letter } in the place of { $letter2 }: turn round
bag-drivers = Drivers
bag-irons = Irons
bag-candidates-from-rack = Candidates from the rack
bag-pull-different-kinds-about-same = Pull different kinds of about the same loft: equal loft is not equal carry.{ $which }
bag-only-left-handed-heads-shown = Only left-handed heads are shown.
bag-sleeve-to = sleeve { $min }° to { $max }°
bag-bonded = bonded
bag-bounce = , { $bounce }° bounce
bag-shaft-for = Shaft for { $label }
bag-g = { $name }, { $weightG } g { $flex }
bag-length-of-in = Length of { $label } in { $unit }
bag-none-there = None there
bag-no-wedge-bag-add-pw = No wedge is in the bag. Add PW, 52, 56 and so on, or bring in a file.
bag-never-hit-here = Never hit here: { $list }.
bag-to-print = To print
bag-what-each-wedge-carries-with = What each wedge carries with each swing. In the Bay: W, Part swings; three shots each, about { $minutes } minutes.
bag-order-work = Order of work
bag-done = done
bag-from-set-wedge-down-instead = From the set wedge down instead
bag-shortest-first-instead = Shortest first instead
bag-its-sole = Its sole
bag-sole-chosen = The sole that was chosen
bag-not-chosen-yet = not chosen yet
bag-as-played-now = as it is played now
bag-set-up-blind-sole-test = Set up a blind sole test
bag-sole-loft = A sole in a loft:
bag-sole-looked-for = Sole looked for
bag-loft-looked-for-degrees = Loft looked for in degrees
bag-from-to = From, to
bag-beside-wish = Beside the wish
bag-with-so-few-shots-ball = With so few shots ball speed, about { $toSpeed } { $unit } a step, is the steadier sign.
bag-cut-whole-space-between-ends = Cut the whole space between the ends
bag-the-cut = The cut
bag-cut-wedges-between-ends = The cut: wedges between the ends
bag-how-many-wedges-between-ends = How many wedges between the ends
bag-bend-stand = Bend it, on the stand
bag-short-list-rack = Short list of the rack
bag-head-as-would-set = Head, as it would be set
bag-should-carry = Should carry
bag-peak = Peak
bag-as-asked = As asked
bag-should-save = Should save
bag-put-stand = Put { $wanted } on the stand
bag-the-marked = the marked
bag-stand-bay = { $letters } on the stand: to the bay
bag-expected-from-players-own-clubs = Expected from this player’s own clubs, along their lofts. It is a guess until it is hit.
bag-slot = Slot { $index }:
bag-carry-to = carry { $low } to { $high } { $unit }{ $which }
bag-landing-or-more = , landing { $low }° or more
bag-set-to = { $loft }° set to { $setLoft }°
bag-chosen-once-speed = chosen { $won ->
    [one] once
   *[other] { $won } times
} at this speed
bag-hit-by-here = hit by { $players } here
bag-not-supported = not supported
bag-unlikely = unlikely
bag-in-10 = { $share } in 10
bag-carry = carry { $which }
bag-not-hit-yet = Not hit yet
bag-by-first-targets = By the first targets: { $atFirst }
bag-put-away = Put { $letter } away
bag-put-away-2 = Put away
bag-short-list-for-player = Short list for this player
bag-whole-rack = Whole rack
bag-borrowed-own-one-loft = Borrowed, own, one loft
bag-map-shows-first-candidates = The map shows the first { $mostRings } candidates.
bag-outer-ring-bag-carry-roll = Outer ring: the bag, carry to roll-out. Inner rings: candidates, a dot for each kept shot.
bag-to-the-bay = To the bay
bag-stand = Stand
bag-short-list = Short list
bag-plans = Plans
bag-short-end = Short end
bag-whole-bag = Whole bag
bag-long-end = Long end
bag-change-rule = Change the rule
bag-other-end-map = The other end of the map
bag-no-wedge-bag = No wedge is in the bag
bag-below-map = Below the map
bag-the-plans = the plans
bag-ladder = Ladder
bag-show-steps = Show steps
bag-show-flight = Show flight
bag-scale-map = Scale of the map
bag-files-taken = Files taken in
bag-taken-back = taken back
bag-bring-again = Bring in again
bag-take-back = Take back
bag-what-bag-says = What the bag says
bag-out-favour-2 = { $name } out of favour: { $outOfFavour }
bag-of-clubs = { $count } of { $most } clubs{ $which }
bag-too-many-2 = : too many
bag-what-does-carry-today = What does { $split } carry today?
bag-bring-shots-monitor-as-csv = Bring in the shots of the monitor as a CSV file, or add clubs on the right and type what each one carries. Two clubs are enough to see a step.
bag-club-5i = Club, 5i
bag-club-add = Club to add
bag-carry-in = Carry in { $unit }
bag-total-in = Total in { $unit }
bag-new-clubs = New clubs
bag-strokes-saved-round = Strokes saved a round
bag-successful-shots-round = Successful shots a round
bag-uncovered-2 = Uncovered
bag-crowded = Crowded
bag-carries-relearn = Carries to relearn
bag-leaves-bag = Leaves the bag
bag-usual-set = Start from a usual set of { $n }, then correct it
bag-find-head = Label, loft, maker or model
bag-no-such-head = No head of the rack is like that for this player. Take something of it away.
bag-enter-puts-up = Enter puts { $name } up
bag-put-marked-up = Put the marked heads on the stand
bag-none-marked = none is marked
bag-head-on-stand = On the stand: { $label } { $maker } { $model }

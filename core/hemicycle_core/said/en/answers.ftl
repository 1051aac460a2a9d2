ends-hit-again = The irons are others than on { $day }, when the wedges were last hit: hit { $name } again before the space is cut.
space-in-the-place-of = In the place of { $name }
space-its-yardage = Its yardage
target-as-first-set = As first set.
verdict-at-first = { $headline } (carry { BARE($low) } to { BARE($high) })
taken-its-place = its place
taken-window = { BARE($low) } to { $high }
taken-for = For { $place }: { $said }
lost-for = For { $place }, to { $letter }: { $why }
plan-a-wedge-each = A wedge each
plan-part-swings = Part swings
day-part-name = { $part ->
    [sole] the sole
    [ends] the ends
    [cut] the cut
    [grooves] grooves
    [part_swing] the distance card
   *[stop] the stop test
}
day-part = { $part ->
    [sole] sole
    [ends] ends
    [cut] cut
    [grooves] grooves
    [part_swing] card
   *[stop] stop test
} { $minutes }
day-planned = Left, in minutes: { $parts }; { $minutes } in all.
day-left-out = With { $minutes } leave out { $out }.

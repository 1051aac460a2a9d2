samples-had-two-been-swung = Had the two been swung alike: { BARE($step) }, give or take { BARE($give) }.
samples-swung-than-last-visit = { $clubs } are swung { $share } { $faster ->
    [yes] faster
   *[no] slower
} than at the last visit
samples-fitter-says-so = the fitter says so
samples-day = A { $kind ->
    [fast] fast
    [slow] slow
   *[usual] usual
} day: { $why }.
samples-carries-today-not-those = { $words } Carries of today are not those of every day.
samples-hit-again-another-day = { $words } Hit { $finalists } again on another day before buying.
samples-club-speed-down-since = Club speed is down { $percent } since the first shots. Rest, then hit the first club again.
samples-club-speed-up-since = Club speed is up { $percent } since the first shots. The first clubs deserve another look.
samples-club-speed-has-held = Club speed has held to within { $percent }. No sign of tiring.
samples-attack-angle = Attack angle
samples-club-path = Club path
samples-face-angle = Face angle
samples-has-moved-since-first = { $what } has moved { $change } since the first shots. Builds hit early and late met different swings.
samples-heel = the heel
samples-toe = the toe
samples-rest-look-how-far = Rest, or look at how far they stand off.
samples-bottom-face = the bottom of the face
samples-top-face = the top of the face
samples-rest-look-how-high = Rest, or look at how high it is teed and how it is struck.
samples-first-shots-were-like = The first { $strange } shots were like the rest.
samples-first-shots-were-unlike = The first { $strange } shots were unlike the rest. Without them it carries { $shift } { $further ->
    [yes] further
   *[no] shorter
}.
samples-too-few-shots-yet = Too few shots yet to see tiring.
samples-others = { $carry } { $short ->
    [yes] short of
   *[no] past
} the others.
samples-smash-figures-above-what = { $above } of { $figures } smash figures are above what a club can do: this bay reads club speed low or ball speed high. Compare builds on carry and landing; have the monitor checked.
samples-carried-like-others-less = Carried like the others with { $less } less spin: heavy off the mat?
samples-smash-what-club-can = Smash { $smash } is { $way ->
    [above] above
   *[below] below
} what a club can do. Is it a misread?
samples-launch-flies-about-reads = Its launch flies about { $flown } and it reads { BARE($reads) }. Is it a misread?
samples-step-more-spreads-more = A step of 0 or more and spreads of more than 0 are needed.
samples-spread-more-than-chance = A spread of more than 0 and a chance under one half are needed.
samples-came-s-after-bay = came { $late } s after the bay was handed on
samples-hit-s-before-bay = hit { $since } s before the bay was handed on
samples-hit-s-after-bay = hit { $hit } s after the bay was handed on
samples-monitors-clock-s-off = the monitor’s clock is { $jumped } s off what it was
samples-hit-s-before-next = hit { $until } s before the next club was taken
samples-hit-s-after-was = hit { $since } s after it was taken
samples-came-s-after-was = came { $came } s after it was hit
samples-came-s-after-was-2 = came { $came } s after it was taken
beside-as-long = as long
beside-carry = { $by } { $longer ->
    [yes] longer
   *[no] shorter
}
beside-spin = { $by } { $more ->
    [yes] more
   *[no] less
}
beside-height = { $by } { $higher ->
    [yes] higher
   *[no] lower
}
beside-may-be-chance = With { $n } { $n ->
    [one] shot
   *[other] shots
} that may be chance.
lie-beside-stock = From { $lie }: { $by }.
lie-nothing-to-compare = nothing to compare
samples-strike-is-getting-worse = Strike is getting worse: smash is down { $change }. Rest or change clubs.
samples-strike-creeps = Strike creeps towards { $towards } since the first shots. { $words }
beside-spread = spreads { $by } { $more ->
    [yes] more
   *[no] less
}
beside-bends = bends { $by } more to the { $right ->
    [yes] right
   *[no] left
}
beside-line = { $by } further { $right ->
    [yes] right
   *[no] left
}
beside-of = { CAPITAL($name) }: { $parts }.
beside-not-what-was-meant = Not what was meant.

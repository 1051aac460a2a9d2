compared-only = Compared only: there is no window and no job to choose by. The columns and the player decide.
no-hole-is-left = No hole is left by this rule: no further club is needed.
strokes-a-round = { $n } { $one ->
    [yes] stroke
   *[no] strokes
} a round
saves-strokes = saves { $strokes }
saves-nothing = saves nothing to speak of
costs-strokes = costs { $strokes }
carries-what-was-asked = carries what was asked for
fills-the-hole = fills the hole
proposed-together = { $clubs }{ $known ->
    [yes] : together they save { $strokes }.
   *[no] .
}
several-in = { $clubs } in
choose-as-you-like = choose as you like
proposed-as-good = { $first } and { $second } are as good as far as can be told: { $told }.{ $gains ->
    [yes] {" "}{ $first } { $gain }.
   *[no] {""}
}
proposed-saves = { $gains ->
    [yes] { $letter } { $gain }.
   *[no] { $letter } leaves least to hole out from where its shots end.
}
proposed-nearest = { $letter } comes nearest to what was asked{ $gains ->
    [yes] {" "}and { $gain }.
   *[no] .
}
proposed-does = { $letter } { $does }{ $gains ->
    [yes] { $of_old ->
        [yes] , and { $gain }.
       *[no] {" "}and { $gain }.
    }
   *[no] .
}
saves-more-but-for-misses = { $letter } saves more but for its misses to the feared side, { $miss ->
    [left] left
    [right] right
    [short] short
    [long] long
   *[none] none
}.
goes-for-it = The { $clubs } { $n ->
    [one] goes
   *[other] go
} for it.
because = { $letter } { $because ->
    [asked] does more of what was asked
    [lower] leaves lower with more spin
    [liked] is the one the player trusts more
    [even] has the more even carries
    [control] has the better distance control
    [room] has more room in its window
    [shaft] has the shorter shaft
    [relearn] leaves fewer yardages to relearn
   *[cheaper] costs less
}
because-lower-by = { $letter } leaves { $by } { $lower ->
    [yes] lower
   *[no] higher
} with { $spin } { $more ->
    [yes] more
   *[no] less
}
because-control-within = { $words } ({ $told })
control-told = eased to { $carry } { $letter } carries within { $mine }, { $other } within { $theirs }
control-told-too = { CAPITAL($told) }.
because-even-within = { $words } (within { $mine }, { $letter } within { $theirs })
does-as-far-as-told = { $does }, as far as can be told yet
does-best = { $does } best
turn-first = { $letter } { $change } { $does } as predicted{ $known ->
    [yes] {" "}and { $gain }{ $beside ->
        [yes] , { $as_hit } as it was hit
       *[no] {""}
    }
   *[no] {""}
}: set it so and hit it before anything is bought.
swapped = { $comes ->
    [yes] { $home } in, and { $away } for { $home } on { $course }
   *[no] { $away } for { $home } on { $course }
}
as-far = { $letter }: { BARE($total) } in all, in play { $often } in 100{ $beside ->
    [yes] {" "}({ $old } { $theirs })
   *[no] {""}
}.
goes-beyond = { $letter } goes { BARE($total) }, in play { $often } in 100: too seldom.
as-many-strokes-as = as many strokes as
strokes-a-shot = { $by } strokes a shot { $fewer ->
    [yes] fewer
   *[no] more
} than
from-the-tee = From the tee it leaves { $beside } the { $old }{ $driver ->
    [yes] , { $beside_driver } the driver.
   *[no] .
}
measure-lofts-first = The { $stays } and the { $goes } carry the same: measure their lofts before the { $goes } goes.
single-shots-unlike = Single shots of { $letter } are unlike its others: look at them first.
would-save-more = { $letter } would save { $strokes } more and is not what was asked for.
better-from-a-clean-lie = From a clean lie { $letter } would do the jobs better; from { $where } it loses more.
keep-the-old = Keep the { $name }
keep-what-is-there = Keep what is there
keep-none-does = { $keep }: none of these { $does }.
saves-all-the-same = { $letter } { $gain } all the same.
keep-does-too-little = { $keep }: { $letter } { $does } and { $gain }{ $little }.
keep-best-of-these = { $keep }: { $letter }, the best of these, { $gain }{ $little }{ $settled ->
    [yes] .
   *[no] {" "}so far.
}
keep-after-tests = Keep the { $old }, after tests: { $why }.
stays-after-tests = The { $old } stays, after tests: { $why }.
replace-after-tests = { $letter } for the { $old }, after tests: { $why }.
replace-why-after-tests = Tests say that the { $old } is worth replacing: { $why }.
hit-before-it-replaces = The { $old } is worth replacing, after tests: { $why }. Hit { $letter } with full swings first: where it carries is not known.
replace-by-a-new-one = The { $old } is worth replacing, after tests: { $why }. Put a new one of its loft on the stand.
fixed-all-the-same = { $why } It is fixed in the bag: free it in the Brief to replace it.
worth-replacing-over-the-budget = { $why } A new one costs more than the budget of { $budget }.
less-than-its-price = , less than its price is worth
too-little-for-a-change = , too little for a change ({ $strokes } beyond its price)
hit-the-own-first = Hit the { $name } first: { $letter } carries the same, and what the { $name } does was only said.
saves-less-than = { $lost ->
    [left] Lost for its left: it
    [right] Lost for its right: it
    [short] Lost for its short: it
    [long] Lost for its long: it
   *[none] It
} saves { $strokes } less than { $first }.
as-good-as = As good as { $first } as far as can be told: { $told }.
places-stay-empty = The { $n ->
    [one] place of the { $clubs } stays
   *[other] places of the { $clubs } stay
} empty.
no-place-for-these = No place can be made for any of these: free a club in the Brief, or carry more. Keep what is there.
all-over-the-budget = Every build that was heard costs more than the budget of { $budget }. Keep what is there.
player-plays-none = The player will play none of these. Keep what is there.
not-enough-shots-yet = No build has had enough shots yet for anything to be said.
nothing-on-the-stand = No build is on the stand for this slot. Keep what is there.
next-put-candidates = Put candidates on the stand, then hit the first.
next-look-at-odd-shots = Look at the odd shots of { $letter } first: keep them or set them aside.
next-settled = { $keeps ->
    [yes] Keeping what is there
   *[no] { $letter }
} is settled. Compare them on the Bench.
next-all-settled = Every build is settled or ruled out. Compare them on the Bench.
next-another = { $in_hand ->
    [yes] { $done }
   *[no] This one
} { $settled ->
    [yes] is done
   *[no] is not for this slot as it is
}. Next { $letter }: { $shots }.
next-which-is-best = Every carry is settled; which is best is not. About { $n } more with { $who }, or decide as they stand.
next-tells-little = More shots would tell little. Decide as they stand, on the Bench.
more-shots = { $n } more { $n ->
    [one] shot
   *[other] shots
}
next-turn-now = Do not mix settings: { $turn }.
next-turn-then = { $shots }, then { $turn }.
next-bend-it = bend it { $by } and hit it as a new build
next-turn-the-sleeve = turn the sleeve { $by } and hit it as a new build
next-carries-spread = The carries spread too widely to settle. Look at strike before hitting more.
next-more-with = { CAPITAL($shots) } with { $letter }.
awaited-question = One question remains: does the { $awaited } do more than { $chosen ->
    [yes] { $letter }
   *[no] what is there now
}? It is not here yet: hit it when it is.
turn-bent = bent { $by }
turn-turned = turned { $by }
yardages-to-relearn = { $n ->
    [0] No yardage is to be learned anew.
    [one] One yardage is to be learned anew: { $clubs }.
   *[other] { $n } yardages are to be learned anew: { $clubs }.
}

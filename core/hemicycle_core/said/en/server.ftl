sole-picked-up-first = Picked up first on the course.
sole-finalists-not-on = The finalists were not on: { $lies }. What follows says nothing of it.
predicted-from = A prediction from { $parent }
predicted-carry = Not hit. { $parent } with { $work } should carry { $carry }: { $as_much ->
    [yes] as much carry
   *[no] about { $by } { $more ->
        [yes] more
       *[no] less
    } carry
} than { $parent }, give or take { BARE($give) }.
blindness-not-asked = The player was not asked which one is his: whether the test was blind is not known.
blindness-no-control = There was no control to guess: whether the test was blind is not known.
shortlist-maker-vetoed = the player will play nothing of { $maker }
shortlist-left-out = { $head }: { $why }.
field-jobs = Jobs
clash-of-the-brief = Someone else wrote here meanwhile: { $fields }. Choose which is to stay.
build-stands-there-already = stands there already, as { $letter }
import-of-a-player = { $named ->
    [yes] { $name }
   *[no] no name
} ({ $n })
import-whose = The file has shots of { $n }: { $players }. Choose whose go in.
import-no-club-named = No club is named in this file: say which one these were hit with.
import-kind-of-club = “{ $club }” does not say what kind of club it is: choose one.
import-shot-left-out = No club is named, so the shot was left out.
card-run-on = a { $firmness } green of everyday speed, computed
wedges-no-such-sole = No { $sole } sole can be had{ $left_handed ->
    [yes] {" "}left-handed
   *[no] {""}
} within two degrees of { $loft }. Another sole, or order it.
plan-today = Today
plan-proposed = Proposed
plan-not-hit-yet = Not hit yet
bag-compared-only = Compared only: no window, and no verdict by one.
bag-nothing-known = Import the baseline or type carries to see where the hole is.
bag-wanted = Wanted: a club that { $does }.
bag-no-hole-by = No hole by { $rule }.
bag-widest-elsewhere = Widest: { $open }{ $reached ->
    [yes] .
   *[no] , which no club reaches at this speed.
}
felt-numbers-seen = { $said } (numbers may have been seen before)
sheet-felt = The player felt
sheet-sole-tried-blind = Its sole, tried blind
prediction-not-settled = Not settled: more shots would make this surer.
handover-not-hit-enough = Only builds with at least { $n } kept shots can be recommended.
handover-not-of-the-bag = Only clubs of the player’s own bag can be left out.
handover-is-fixed = The { $name } is fixed: it stays in the bag. Free it in the Brief first.
handover-swapped = { $away } on { $course }, { $home } elsewhere: one place of the bag.
problem-database-away = The database does not answer just now. It is being started again; nothing that was saved is lost.
problem-two-changes-met = Two changes met at the same moment and this one was not made. Try again.
problem-disk-full = The disk of the shop’s machine is full: nothing is saved until there is room on it again. What waits is kept.
problem-not-here = That is not here, or not in your shop.
problem-not-allowed = You may not do that.
problem-sign-in-first = Sign in first.
problem-of-a-field = { $field }: { $words }
problem-no-such-address = There is nothing at this address.
problem-request-not-read = This request cannot be read. Load the page again.
problem-page-out-of-date = This page is out of date. Load it again and repeat what you did.
problem-server-mistake = Hemicycle made a mistake. What you did is not lost if it was saved; try again.
sole-so-much-bounce = { $bounce } bounce
sole-called = { $sole } sole
waits-visit-was-agreed = hit before the visit was agreed, and came after
waits-no-club-in-hand = hit with no club in hand
waits-customer-was-erased = hit before the customer was erased, and came after
backup-failed-without-a-word = It failed without a word.
code-is-old = old
code-is-new = new
outcome-waits = Waits for the { $awaited }
outcome = { $decision ->
    [buy] Recommended
    [drop] Leave out
   *[keep] Keep what is there
}{ $named ->
    [yes] : { $clubs }
   *[no] {""}
}
work-shaft = shaft { $shaft }

## What a column cannot hold, what the stand-in is not told, why a shot was set aside

column-broken-character = a character of the text is broken. Type it again.
column-too-long = { $most } characters are the most; this has { $has }.
column-out-of-range = { $value } is out of range: { $low } to { $high }.
column-cannot-hold = { $name }: { $fault }
file-is-no-text = This is not a text file. Export the shots as CSV.
stand-in-most-shots = The stand-in hits 1 to { $most } shots at a time.
stand-in-how-often = One shot every 0.2 to 60 seconds.
stand-in-hits-what-is-in-hand = Take a build in hand first: the stand-in hits what is in hand.
stand-in-hits-already = The stand-in in this bay is still hitting. Stop it first.
act-done-already = That was done already.
aside-in-the-file = set aside in the file
aside-as-unlike = unlike the others, at import
aside-on-the-pad = on the pad
predicted-not-hit = Not hit: check at delivery
predicted-from-others = Not hit. By its loft, its length and the player’s other clubs it should carry { $carry }, give or take { BARE($give) }: hit it when it comes.
sole-ruled-out = { $name } is ruled out for { $course }: { $why }.
act-say-why-ruled-out = Say why it is ruled out.
problem-type-a-number = type a number.
problem-type-a-whole-number = type a whole number.
problem-is-missing = it is missing.
problem-type-words = type it in words.
problem-say-yes-or-no = say yes or no.
problem-type-an-address = type an address such as name@example.org.

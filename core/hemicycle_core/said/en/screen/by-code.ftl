by-code-hand-out-next = Hand out next
by-code-hand-word-fitter-calls = Hand the word the fitter calls.
by-code-what-comes-next-fitters-screen = What comes next is on the fitter’s screen only, until the line is back. Here stands which club it is.
by-code-wiped-sole-down-unseen = Wiped, sole down, unseen.
by-code-duel-hand = Duel: hand
by-code-shots-wiped-sole-down-unseen = { $shots } shots. Wiped, sole down, unseen.
by-code-then = Then { $code }.
by-code-all-handed-player-guesses-then = All is handed. The player guesses, then it is revealed.
by-code-tape-shafts = Tape on the shafts, { $customer }
by-code-marks-back-covered-nothing-sole = Marks on the back covered, nothing on sole or face. Show nobody this page.
by-code-on = ✓ on
by-code-tape = tape
by-code-tell-fitter-yourself = Tell the fitter yourself: { $list }
by-code-how-did-they-play = How did they play?
by-code-not-written-down = Not written down: { $word }
by-code-picked-up-first = picked up first
by-code-1-note-waits-device-for = { $waiting ->
    [one] 1 note waits
   *[other] { $waiting } notes wait
} on this device for the line.

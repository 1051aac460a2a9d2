file-slot-window-wrong-way = slot: the window is the wrong way round: low_m must be the smaller.
file-window-given = The window given.
file-give-slot-clubs-hole = Give a slot, or clubs with a hole between them to find one from.
file-like-no-club-carry = like: no club “{ $name }” with a carry is in clubs.
file-builds-two-builds-have = builds: two builds have one letter.
file-column-names-no-unit = Column { $header } names no unit. Write { $examples }.
file-column-not-unit-kind = Column { $header } is not in a unit of that kind. Write { $examples }.
file-say-same-thing-leave = { $one } and { $header } say the same thing. Leave one out.
file-missing-column-needed-ball = Missing column: { $names }. Needed are ball speed, launch angle and spin, with their units.
file-not-number = “{ $cell }” is not a number.
file-blank = { $header } is blank.
file-no-turf-write-soft = “{ $word }” is no turf: write soft, medium or firm, with green after it for a green.
file-no-change-write-one = “{ $words }” is no change. Write one of { $known }, then = and a number.
file-not-number-write-say = “{ $amount }” is not a number. Write { $name }=1, say.
file-only-directions-known = { $change }: only directions are known. { $directions }
file-file-anchor-has-no = The file to anchor to has no carry column: name it carry_yd or carry_m.
file-no-row-file-anchor = No row of the file to anchor to has a launch and a carry.
file-not-number-anything-here = “{ $text }” is not a number that anything here can be.
file-not-number-json-leave = “{ $text }” is not a number in JSON. Leave the field out.
file-over-brackets-inside-one = Over { $most } brackets inside one another: nothing here is nested so deeply.
file-character-text-broken-type = A character of the text is broken. Type it again.
file-over-mb-json-more = Over { $most } MB of JSON: more than a session of shots.
file-over-values-more-than = Over { $most } values: more than a session of shots.
file-not-json = This is not JSON: { $error }.
file-no-position-give-name = “{ $part }” is no position: give its name, loft, lie and face, such as `A +1 0.5 -0.5`.
file-give = Give { $name }.
file-whole-number-not = { $name } is a whole number, not { $value }.
file-not-one = “{ $text }” is not one of { $known }.
file-no-kind-head = “{ $unknown }” is no kind of head.
file-header-needs-may-have = The header needs { $missing }. It may have { $known }.
file-file-empty-export-shots = The file is empty. Export the shots from the monitor again.
file-not-text-file-export = This is not a text file. Export the shots as CSV.
file-file-has-over-rows = The file has over { $most } rows. Export one session.
file-line-cannot-read-csv = Line { $line } cannot be read as CSV: { $error }.
file-file-has-over-columns = The file has over { $most } columns. Export shots, one in a row.
file-file-needs-header-line = The file needs a header line and at least one shot below it.
file-more-than-any-figure = “{ $cell }” is more than any figure here can be.
file-workbook-cannot-opened-save = This workbook cannot be opened. Save it again as .xlsx, or as CSV.
file-workbook-has-no-such = The workbook has no such sheet of cells. Choose one of it.
file-sheet-has-over-rows = The sheet has over { $most } rows. Export one session.
file-workbook-larger-than-session = The workbook is larger than a session of shots. Save the sheet as CSV.
file-not = “{ $cell }” is not a { $quantity }.
file-has-another-decimal-mark = “{ $cell }” has another decimal mark than the rest of its column.
file-may-thousand-times-much = “{ $cell }” may be a thousand times as much: write it without the mark.
file-named-unit-none-what = “{ $header }” is named as { $what } and its unit is none of { $quantity }. What is it?
file-both-read-which-them = { $headers } both read as { $what }. Which of them is it?
file-left-out = Is “{ $header }” the { $words }, or is it to be left out?
file-is-in = Is “{ $header }” in { $words }?
file-two-columns-both-leave = Two columns are both { $what }. Leave one of them out.
file-needs-unit = “{ $header }” needs a unit of { $quantity }.
file-not-something-column-can = “{ $key }” is not something a column can be.
file-say-which-column-carry = Say which column is the carry, or ball speed, launch angle and spin.
file-sheet-empty-choose-another = This sheet is empty. Choose another one of the workbook.
file-file-over-mb-more = The file is over 4 MB, more than a session of shots. Export one session.
file-cell-was-left-blank = The cell was left blank.
file-no-test-known-here = “{ $protocol }” is no test that is known here.
file-stands-above-header = “{ $words }” stands above the header.
file-has-no-number-shots = It has no number as the shots have.
bundle = The bundle
bundle-where = { $where }: { $words }
file-long-number = “{ $text }…” is not a number that anything here can be.
file-carries-off-the-flight = Carries read { $by } { $under ->
    [yes] under
   *[no] over
} what ball speed, launch and spin fly: { $taken ->
    [metres] these look like metres taken for yards, or range balls.
   *[yards] these look like yards taken for metres.
}
file-carries-of-a-club = { $named ->
    [yes] { $club }
   *[no] These shots
}: carries read about { $read } and their launches fly about { BARE($flew) }. A unit or a column is wrong, or they are misreads.
file-peaks-off-the-flight = Peak heights are { $times ->
    [yes] { $by } times
   *[no] { $by } of
} what the launches fly: is their unit right?
file-sides-turned = Sides run against launch direction and spin axis: left seems to be positive in this file. Leave the column out, or turn its sign.
file-speeds-exchanged = Ball speed is { $by } times club speed: exchanged, or another unit?
column-club = the club
column-player = the player
column-session = the visit
column-strike = the strike
column-intent = the intent
column-lie = the lie
column-length = the length of the swing
column-ball = the ball
column-aside = what was set aside
file-landing-that-holds = The landing angle that holds.
file-nought-in-every-row = { $reading } is nought in every row: not read.
file-row-was-left-out = The row was left out.
file-other-columns-from-here = From here on the columns are others. Export it as one table.
file-under-another-header = It stands under another header.
file-no-shot = “{ $what }” is no shot: averages are worked out here.
file-has-no-figures = “{ $what }” has no figures.

### page-attempts

attempts-title = Why is it no better?
attempts-title-earlier = Why was attempt { $number } no better?
attempts-title-all = Attempts
attempts-opening = Looking at the attempts …
attempts-none-failed = Nothing has failed here. Attempts of this visit stand below, side by side.
attempts-worse = It is worse than before.
attempts-no-better = No difference is shown, though the plan promised one.
attempts-less = It is better, by less than the plan promised.
attempts-first-check = Check first
attempts-usual = Order as usually found in the trade{ $counted ->
    [0] {""}
    [one] , with one failed attempt of this shop
   *[other] , with { $counted } failed attempts of this shop
  }, moved by what speaks here. Shares are from memory, not measured.
attempts-caution = What opens the device is looked at in the next attempt, by its list: shut down, unplugged, battery off first.
attempts-share = { $tenths ->
    [0] hardly
    [10] sure
   *[other] about { $tenths } of 10
  }
attempts-speaks = speaks for it
attempts-against = speaks against it
attempts-check = Check
attempts-opens = opens the device
attempts-closed = without opening
attempts-answer = What the check showed: { $cause }
attempts-open = Not checked
attempts-found = It was this
attempts-ruled-out = Not this
attempts-remedy = Next time
attempts-others = { $count ->
    [one] One more that is hardly likely
   *[other] { $count } more that are hardly likely
  }
attempts-promised = Promised { $low } to { $high } K/W, measured { $measured } ± { $u95 } K/W
attempts-promise-drawn = Promised interval and measured value
attempts-side-by-side = Side by side
attempts-number = Attempt { $number }
attempts-current = on the bench
attempts-score-surface = Surface of die and plate
attempts-score-print = Print when it was lifted
attempts-no-score = –
attempts-words = What was seen
attempts-notes = Scores and words of attempt { $number }
attempts-save = Save
attempts-left-words = Why it stays as it is
attempts-left-hint = It is handed over as it is only with a reason; the record keeps it.
attempts-leave = Leave it as it is
attempts-left = Left as it is: { $words }
attempts-hand-over = Go on to Hand over
attempts-take-reason-off = Take the reason off
attempts-begin = Begin attempt { $number }
attempts-begin-note = Opened again from Open on, with a fresh list on the same map. What attempt { $number } left behind stays beside it.
attempts-begun = Attempt { $number } has begun.
attempts-not-closed = Attempt { $number } is on the bench. It is closed in Close before another one begins.
attempts-go-on = Go on at the bench
attempts-take-back = Take attempt { $number } back
attempts-taken-back = Attempt { $number } was taken back.
attempts-changed-elsewhere = Somebody else changed this meanwhile; it is shown anew.

### page-true-drop

true-drop-put-drop-mm-on = Put a drop of { $diameter_mm } mm on, then spread it
true-drop-bead-mm-in-middle = A bead of { $diameter_mm } mm in the middle
true-drop-mm-mm-thick =
    { $strokes ->
        [one] One line
       *[other] Two crossing lines
    } of { $stroke_mm } mm, { $diameter_mm } mm thick
true-drop-on-die-mm = { $words } on a die of { $width_mm } × { $length_mm } mm
true-drop-true-size = True size.
true-drop-match-again = Match again
true-drop-not-at-true-size = Not at true size yet.
true-drop-match-to-bank-card = Match to a bank card
shim-drawing-label = Package { $package }, die { $die }, shim { $shim }. { $words }
shim-drawing-key = Outline: the shim. Dark: the die. Cross: the middle of the package. Dashed: where bare parts begin.

### page-clean

clean-page-prediction-stays-at-c = The prediction stays at { $b } °C.
clean-page-what-was-seen-moves = What was seen moves the prediction from { $a } to { $b } °C.
clean-page-clean-look-first-then = Clean: look first, then clean
clean-page-planned = Planned: { $words }.
clean-page-first-in-plan-now = First in the plan now: { $words }.
clean-page-decide-anew-in-plan = Decide anew in Plan
clean-page-see-plan = See the plan

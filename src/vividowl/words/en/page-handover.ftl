### page-handover

hand-over-handed-over-on = Handed over on { $handed_over_at }.
hand-over-what-owner-gets-proof = What the owner gets: the proof, the price, and the date to come back.
hand-over-price = Price
hand-over-next-service = Next service
hand-over-proposed-no =
    Proposed: { $proposed_service_on }, { $proposed_service_reason }{ $held_again_on ->
        [yes] . By its own drift it would throttle from { $held_again_on_2 }
       *[no] { "" }
    }
hand-over-word-to-owner = Note to customer
hand-over-record = The record
hand-over-open-record = Open the record
hand-over-record-as-pdf = Record as PDF
hand-over-take-hand-over-back = Take the hand-over back
hand-over-hand-over = Hand { $model } over
hand-over-job-handed-over = Job { $number } is handed over.
hand-over-hand-over-was-taken = The hand-over was taken back.
hand-over-missing-price = price
hand-over-missing-why = what was put right
hand-over-why = What is put right in version { $number }
hand-over-why-hint = Stands in the new version. Version { $number } stays readable and can still be checked.
hand-over-keep-version = Save as version { $number }
hand-over-cancel = Cancel
hand-over-put-right = Put the record right

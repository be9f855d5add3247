### counter

consent-leave =
    I leave { $device }{ $serial ->
        [none] { "" }
       *[other] , serial number { $serial },
    } with { $shop } to be measured, opened, cleaned and serviced.
consent-accessories =
    { $accessories ->
        [none] Nothing came along with it.
       *[other] Along with it came: { $accessories }.
    }
consent-condition =
    { $marks ->
        [one] Its condition was photographed at one place; I have seen the photo.
       *[other] Its condition was photographed at { $marks } places; I have seen the photos.
    }
consent-limit =
    { $limit ->
        [none] No price is agreed yet: the shop asks before it begins.
       *[other] Up to { $limit } the shop works without asking again.
    }
consent-limits = Also agreed: { $limits }
consent-passcode =
    { $passcode ->
        [typed_by_owner] The passcode was not told; I type it myself where it is needed.
        [kept_apart] The passcode is kept apart from the device and destroyed at pick-up.
       *[not_asked] The passcode was not asked for.
    }
consent-backup =
    { $backup ->
        [yes] My data is backed up.
        [no] My data is not backed up; it can be lost, and I accept that.
       *[unknown] Whether my data is backed up is not known; it can be lost, and I accept that.
    }
consent-warranty =
    { $warranty ->
        [running] The maker's warranty is running; opening it may end it, and I accept that.
       *[unknown] Whether the maker's warranty is running is not known; opening it may end it, and I accept that.
    }
pickup-device =
    I have { $device }{ $serial ->
        [none] { "" }
       *[other] , serial number { $serial },
    } back.
pickup-accessories =
    { $accessories ->
        [none] Nothing had come along with it.
       *[other] What had come along is back as well: { $accessories }.
    }
pickup-record =
    { $version ->
        [1] I have been given the record of the service.
       *[other] I have been given the record of the service, version { $version }.
    }
pickup-price =
    { $price ->
        [none] No price is set.
       *[other] The price is { $price }.
    }
passcode-not_asked = not asked for
passcode-typed_by_owner = the owner types it
passcode-kept_apart = kept apart, destroyed at pick-up
place-lid = lid
place-screen = screen
place-keyboard = keyboard
place-underside = underside
place-edges = edges
place-ports = ports
place-other = elsewhere
ticket-title = Ticket { $number }
ticket-pick-up = Pick-up { $number }
ticket-came-in = Taken in on { $day }
ticket-device = Device
ticket-customer = Customer
ticket-serial = Serial number
ticket-symptom = What is wrong
ticket-ready = Ready
ticket-mark = { $number }: { $words }
ticket-condition = Condition
ticket-agreed = What is agreed
ticket-handed-back = What is handed back
ticket-signed = { $name }, { $day }
ticket-not-signed = Not signed yet
ticket-scan = Opens the job in the shop
ticket-foot = { $shop } · keep this ticket: the device is handed out against it
quote-title = Quote { $number }
calendar-pick-up = Pick up { $device }, { $shop }
quote-do-clean = clean fan and heatsink
quote-do-repaste = renew what carries the heat off the chip ({ $kind })
quote-do-pads = renew the pads
quote-do-shim = fit a copper shim
quote-do-cover = lead heat into the cover
quote-do-tune = set its power more sensibly
quote-do-fan = replace the fan
quote-do-leave = leave it as it is
quote-expected = Calculated to be { FIX($low, 0) } to { FIX($high, 0) } degrees cooler at the same work.
quote-takes = Takes about { $minutes ->
    [one] a minute
   *[other] { FIX($minutes, 0) } minutes
}, waiting included.
ticket-ready-at = { $day }, { $clock }
cap = { CAP($words) }

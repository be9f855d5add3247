### job

gates-swollen-battery-can-catch-fire = A swollen battery can catch fire when bent or pierced.
gates-do-not-press-pry-or = Do not press, pry or charge it. Isolate it on a fireproof surface; dispose of it by local rules.
gates-traces-liquid-board-may-short = Traces of liquid: the board may short on power-up.
gates-do-not-power-inspect-under = Do not power it. Inspect under magnification first.
gates-opening-may-end-warranty-or = Opening it may end the warranty or break the seal.
gates-photograph-seal-and-let-owner = Photograph the seal and let the owner accept the loss, or stop.
gates-no-backup-confirmed = No backup is confirmed.
gates-ask-for-one-or-let = Ask for one, or let the owner accept the risk.
gates-power-supply-inside-holds-mains = The power supply inside holds mains voltage.
gates-leave-closed-licensed-practice-only = Leave it closed: licensed practice only.

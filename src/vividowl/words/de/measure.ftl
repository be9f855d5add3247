### measure

comparing-phase-change-interface-was-fitted = Aufgetragen wurde eine Phasenwechselschicht: Sie setzt sich in den ersten Stunden mit Wärmewechseln. Wurde dieses Nachher in den ersten 40 Minuten gemessen, wiederholen Sie es, bevor Sie urteilen.

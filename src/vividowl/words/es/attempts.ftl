### attempts: lo que el informe dice de varios intentos

cause-film = Quedó una película en la lámina o en una almohadilla
cause-seat = El disipador no asienta plano
cause-lifted = Una almohadilla o plaquita separa el disipador del chip
cause-too_little = Demasiado poco sobre el chip, o una esquina sin cubrir
cause-fan_plug = El ventilador no está enchufado o no gira
cause-not_run_in = El cambio de fase aún no se ha asentado
cause-solvent = El disolvente no ha salido; por dentro sigue líquido
cause-alloy_bald = La aleación no mojó toda la cara
cause-air = El aire no pasa
cause-else = Algo que no está en esta lista
attempts-row-fitted = Aplicado
attempts-row-cleaned = Limpiado
attempts-row-verdict = Veredicto
attempts-row-resistance = Resistencia térmica, K/W
attempts-row-interface = de ella, más rápida que 3 s, K/W
attempts-row-noise = Ruido, dB
attempts-row-cause = Causa encontrada
attempts-row-surface = Superficie, de 5
attempts-row-print = Huella, de 5
attempts-row-words = Anotado
attempts-not-measured = sin medir
attempts-row-left = Se dejó como está
attempts-figure = { FIX($value, $digits) }{ $u95 ->
    [none] {""}
   *[other] {" "}± { FIX($u95, $digits) }
  }

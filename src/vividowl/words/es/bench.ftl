### bench: lo que el informe dice del banco de trabajo

sight-fins-clear = libres
sight-fins-dusty = con polvo
sight-fins-felt = tupidas
sight-fins-bent = dobladas
sight-fan-free = gira libre
sight-fan-drags = gira con esfuerzo
sight-fan-wobbles = baila
sight-contact-full = completa
sight-contact-one_sided = de un solo lado
sight-contact-dry_patch = zona seca
sight-contact-pumped_out = expulsada hacia fuera
sight-contact-chalk = como tiza
sight-contact-still_liquid = cambio de fase aún líquido
sight-contact-alloyed = aleada
sight-plate-copper = cobre
sight-plate-nickel = niquelada
sight-plate-aluminium = aluminio
sight-surroundings-no_aluminium = sin aluminio cerca
sight-surroundings-aluminium = aluminio junto al contacto
sight-surroundings-parts_bare = piezas desnudas alrededor del chip
sight-surroundings-coat_whole = barniz viejo entero
sight-surroundings-parts_none = sin piezas desnudas
sight-pads-sound = en buen estado
sight-pads-oily = aceitosas
sight-pads-torn = rotas
sight-corrosion-none = ninguna
sight-corrosion-traces = rastros
sight-corrosion-eaten = comida
sight-battery-flat = plana
sight-battery-swollen = hinchada
sight-battery-leaking = con fugas
part-fins = aletas
part-fan = ventilador
part-contact = huella de contacto
part-plate = placa fría
part-surroundings = alrededor del chip
part-pads = almohadillas
part-corrosion = corrosión
part-battery = batería
part-with-lot =
    { $words }{ $lot ->
        [none] { "" }
       *[other] , lote { $lot }
    }
mishap-spill_paste = Derrame: pasta que no conduce
mishap-spill_alloy = Derrame: aleación u otra cosa que conduce
mishap-broken_clip = Pestaña rota
mishap-torn_ribbon = Cable plano roto
mishap-stripped_screw = Cabeza de tornillo pasada
mishap-lost_screw = Tornillo perdido
mishap-touched_film = Película o cara limpia tocada
mishap-too_much_paste = Demasiada pasta
mishap-other = Otra cosa
power-boot = arranca en menos de 40 s
power-fans = giran los ventiladores
power-keyboard = escribe el teclado
power-pad = se mueve el panel táctil
power-controls = responden los mandos y botones
power-picture = salen imagen y sonido
power-drive = lee el disco o la tarjeta
power-charging = carga la batería
power-wireless = encuentra redes
power-display = la pantalla está entera
power-temperatures = las temperaturas son razonables
interlock-power_first = Aún no está apagado y desenchufado.
interlock-cooler_on_battery = La batería sigue conectada; así no se levanta el disipador.
interlock-battery_first = La batería sigue conectada.
interlock-lift_first = El disipador no consta como levantado.
interlock-clean_first = El chip y la placa no constan como limpios desde que se levantó el disipador.
interlock-clean_between = Ya hay algo sobre este chip.
interlock-clean_between_gpu = Ya hay algo sobre el chip gráfico.
interlock-second_coat = Aún no está puesta la primera capa de barniz.
interlock-coat_first = Las piezas alrededor del chip aún no están aisladas.
interlock-insulate_before_alloy = Desde la última limpieza no se ha confirmado que las piezas alrededor del chip estén aisladas.
interlock-no_alloy_near_aluminium = Se vio aluminio en el contacto o junto a él: la aleación lo destruye.
interlock-second_film = La segunda película sigue puesta.
interlock-interface_first = No hay nada nuevo sobre el chip: un disipador nunca vuelve sobre un chip desnudo.
interlock-interface_first_gpu = No hay nada nuevo sobre el chip gráfico: un disipador nunca vuelve sobre un chip desnudo.
interlock-inspect_alloy = La aleación no se miró con aumento desde que se puso.
interlock-look_before_closing = Nadie ha mirado aún si cada cara bajo el disipador está cubierta.
interlock-fan_free = No está confirmado que el ventilador gire libre.
interlock-plugs_before_battery = Aún queda algo desenchufado; la batería va al final.
interlock-battery_last = La batería ya está conectada; va al final.
interlock-cooler_before_power = El disipador está quitado: un chip sin él se destruye en segundos.
interlock-interface_before_power = Se levantó el disipador y no hay nada nuevo sobre el chip.
interlock-interface_before_power_gpu = Se levantó el disipador y no hay nada nuevo sobre el chip gráfico.
interlock-battery_before_power = La batería no está conectada.
interlock-plugs_before_power = Aún queda algo desenchufado.
interlock-power_before_last_screws = Falta el primer encendido; los últimos tornillos lo esperan.
low = { LOW($words) }
story-first-power-on-before-last =
    Primer encendido antes de los últimos tornillos: { $said }{ $boot_s ->
        [none] { "" }
       *[other] ; arrancó en { SIG($boot_s) } s
    }.
story-stays-out = Queda fuera: { $places } ({ $words }).
story-mapped-screws-and-plugs-back = { $out } de { $places } tornillos y enchufes anotados están de vuelta.
story-checks-fine = { $get } comprobaciones bien
story-seen-on-opening = Visto al abrir: { $seen }.
story-not-looked-at-or-not = Sin mirar o sin anotar: { $unseen }.
story-worked-by-list-steps-done = Se trabajó con una lista de { $steps } pasos, { $done } hechos.
story-bench-work-not-closed-steps = Trabajo de banco sin cerrar: { $done } de { $steps } pasos hechos.
story-out-order = Fuera de orden: { $reason } «{ $words }» ({ $by }).
story-screws-not-mapped-nobody-counted = Tornillos sin anotar: nadie los contó.
story-not-checked = sin comprobar: { $by }
story-no-such-part = no lo tiene: { $by }
story-planned-not-weighed = Previsto, no pesado: { $planned }.
story-sight = { $part }: { $seen }
story-skipped = Saltado en «{ $stage }»: paso { $number } ({ $words }).
story-mishap =
    { $what }{ $words ->
        [none] { "" }
       *[other] : «{ $words }»
    } ({ $by }).
story-measured = { $words }: { SIG($value) } { $unit } ({ $what }).
story-fails = falla: { $by }
story-checked = { $text } Comprobado: { $checked }.

### verdict

comparison-neither-fan-speed-nor-fan = No se conoce en ambos lados ni la velocidad ni el ajuste del ventilador, y el ventilador solo podría explicarlo. Anote el ajuste.
comparison-where-stood-not-noted-on = No se anotó en ambos lados dónde estaba, y el sitio solo podría explicarlo. Anote el sitio.
comparison-changed-by-more-than-two = { $words } cambió en { $size }: más que la variación de una prueba a otra.
comparison-not-known-on-both-sides = { $words }: no se conoce en ambos lados.
comparison-changed-by-within-what-two = { $words } cambió en { $size }: dentro de la variación de una prueba a otra.
comparison-comparison-needs-run-on-both = Una comparación necesita una prueba en cada lado.
comparison-true-gain-up-to-k =
    Una mejora real de hasta { FIX($hidden_k, 1) } K podría esconderse aquí{ $more ->
        [runs] ; dos pruebas más en cada lado mostrarían { FIX($showable_k, 1) } K
        [hardly] ; repetir apenas lo reduciría: sí lo harían una carga constante, el mismo ventilador y una prueba más larga
       *[none] { "" }
    }.
comparison-two-logs-hold-different-die = Los dos registros tienen sensores de chip distintos. Compare el mismo en ambos lados.
comparison-die-sensor-never-moves-so = Un sensor de chip no se mueve nunca, así que de él no se sigue nada. Registre otro.
comparison-room-was-not-noted-on = La sala no se anotó en ambos lados, así que no se conoce la subida sobre ella. Anote la sala.
comparison-fan-turned-after-against-rpm =
    Después, el ventilador giró { $if_ratio ->
        [yes] más despacio
       *[no] más deprisa
    } ({ FIX($after, 0) } frente a { FIX($before, 0) } rpm); la resistencia se convirtió a una misma velocidad.
comparison-before-heat-held-back-for = Antes, el calor lo frenaba el { FIX($share, 0) } % de la carga; en un aparato frenado la temperatura se queda en su límite y lo que habla son los vatios.
comparison-after-began-k-what-left =
    La segunda prueba empezó { FIX($start_apart_k, 0) } K { $if_start_apart_k ->
        [yes] más caliente
       *[no] más fría
    }; lo que queda de eso está en la incertidumbre.
comparison-not-both-runs-had-settled = No se habían estabilizado las dos pruebas: se juzgan como se midieron, en tiempos iguales.
comparison-heat-held-device-back-on = En un lado el calor frenó el aparato, y allí no se registró la potencia. Registre la potencia.
comparison-fan-ran-much-after-against =
    Después, el ventilador fue mucho { $faster ->
        [yes] más deprisa
       *[no] más despacio
    } ({ FIX($after, 0) } frente a { FIX($before, 0) } rpm), y eso solo ya { $faster ->
        [yes] enfría
       *[no] calienta
    }. Repita a una velocidad fija.
comparison-one-level-on-each-side = Un solo nivel en cada lado no basta para un veredicto, porque un ventilador por escalones puede estar en uno de dos: repita ambos o registre su velocidad.
conditions-fan-setting = ajuste del ventilador
conditions-power-profile = perfil de energía
conditions-repeat-one-side-with-same = Repita un lado con la misma carga.
conditions-repeat-with-same-fan-setting = Repita con el mismo ajuste del ventilador.
conditions-repeat-with-same-power-profile = Repita con el mismo perfil de energía.
conditions-repeat-in-same-place-lid = Repita en el mismo sitio: tapa, soporte, base y regazo cambian el aire.
conditions-compare-same-sensor-on-both = Compare el mismo sensor en ambos lados.
conditions-firmware-update-can-change-fan = Un firmware nuevo puede cambiar la curva del ventilador y los límites; parte del efecto puede ser suya.
conditions-undervolt-cap-or-driver-changed = Entre medias cambió la tensión, un límite o el controlador; parte del efecto puede venir de ahí.
conditions-one-run-started-warm-does = Una prueba empezó en caliente; si las dos se han estabilizado, no importa.
conditions-rooms-differ-by-k-more = Las salas difieren en { FIX($b, 1) } K, más de { FIX($room_corrected_k, 0) } K: está corregido, pero el ventilador y las fugas siguen a la temperatura; tome el resultado con cuidado.
conditions-against-and-not-both-have = { $words } frente a { $words_2 }, y no se han estabilizado las dos. Repita con el tiempo más largo.
conditions-room-was-not-noted-so = No se anotó la sala, así que no se conocen las subidas sobre ella. Anote la sala.
conditions-rooms-differ-by-k-rises = Las salas difieren en { FIX($b, 1) } K; las cifras están corregidas según la temperatura de la sala.
conditions-one-run-was-longer-both = Una prueba fue más larga; las dos se han estabilizado, así que no importa.
conditions-against-and-not-both-have-2 = { $words } frente a { $words_2 }, y no se han estabilizado las dos: ambas se juzgan a los { FIX($b, 0) } min.
conditions-not-noted = Sin anotar.
conditions-was-before-and-after = { CAP($words) }: «{ $b }» antes, «{ $a }» después. { $name }
conditions-cold-start-against-warm-one = Un arranque en frío frente a uno en caliente, y no se han estabilizado los dos. Repita con el mismo arranque.
effects-mean-over-end-load = media del final de la carga
effects-duration-same-work = Duración del mismo trabajo
effects-frame-rate = Fotogramas por segundo
effects-what-two-runs-one-benchmark = dos pruebas iguales difieren en { SIG($result_share) } %
effects-at-min-load-on-both = { "" } a los { FIX($at_s, 1) } min de carga en ambos lados
effects-resistance-same-fan = Resistencia con el mismo ventilador
effects-die-temperature = Temperatura del chip
effects-s-before-s-after = { $window }, { FIX($from_s, 0) } s antes, { FIX($window_from_s, 0) } s después
effects-rise-over-room = Subida sobre la sala
effects-t-t-room-valid-in = T − T_sala{ $terms }, válida en cualquier sala con igual potencia y ventilador; { $over }
effects-heat-into-shared-cooler = calor al disipador común, { $window }
effects-thermal-resistance = Resistencia térmica
effects-rise-power-as-cooler-remembers = subida / potencia según la memoria del disipador; { $r }
effects-sustained-capacity = Potencia sostenida
effects-held-back-by-heat = Frenado por calor
effects-load = % de la carga
effects-pinned-at-its-plateau-with =
    clavado en su tope, con potencia o frecuencia cedidas; se reconoce por { $before ->
        [none] nada
       *[other] { $before }
    } antes, { $after ->
        [none] nada
       *[other] { $after }
    } después
effects-fan-speed = Velocidad del ventilador
effects-less-time-more-throughput = { FIX($less_time_percent, 1) } % menos de tiempo es { FIX($more_throughput_percent, 1) } % más de rendimiento; { $working }
headline-db-no-hotter =
    { FIX($difference, 0) } dB { $if_difference ->
        [yes] menos de ruido
       *[no] más de ruido
    }, sin más calor
headline-now-k-below-its-limit = ahora { FIX($below, 0) } K por debajo de su límite
headline-quieter-by-db-and-hotter = { FIX($difference, 0) } dB más silencioso, y { FIX($rise_difference, 0) } K más caliente
headline-cooler-by-k-and-louder = { FIX($difference, 0) } K más fresco, y { FIX($noise_difference, 0) } dB más ruidoso
headline-k-over-room =
    { FIX($difference, 0) } K { $if_difference ->
        [yes] menos
       *[no] más
    } sobre la sala
headline-if-same =
    , si { $same } { $assumes ->
        [one] fue igual
       *[other] fueron iguales
    }
headline-held-back = frenado { FIX($before, 0) } % → { FIX($after, 0) } %
headline-same-load = , con la misma carga { "" }
headline-with-fan-as-before = { "" } con el ventilador como antes
headline-k-at-w =
    { FIX($kelvins, 0) } K { $if_difference ->
        [yes] menos
       *[no] más
    } a { FIX($before, 0) } W{ $at_fan }
headline-cannot-be-compared = No se puede comparar
headline-at-its-c-limit = en su límite de { FIX($plateau, 0) } °C { "" }
headline-no-difference-shown = Sin diferencia demostrada
headline-clock = frecuencia { FIX($percent, 0, sign: 1) } %
parts-before-after =
    { $name }: antes { $before ->
        [none] no se sabe
       *[other] { FIX($before, $digits) } { $unit }
    }, después { $after ->
        [none] no se sabe
       *[other] { FIX($after, $digits) } { $unit }
    }
parts-scatter-from-repeats = dispersión de las repeticiones
quieter-energy-mean-readings-background-taken = media energética de las lecturas, sin el ruido de fondo (ISO 3744)
quieter-weighted-energy-mean-recordings-same = media energética A de las grabaciones, mismo teléfono, mismo sitio y ganancia; solo la diferencia es firme
quieter-rooms-differ-db-for-fan = las salas difieren, ± { FIX($half_width_db, 1) } dB por el ventilador que las sigue
quieter-room-alone-was-not-recorded = no se grabó la sala sola en ambos lados, así que el cambio real puede ser mayor
quieter-noise-by-recording = Ruido, por grabación
quieter-read-at-and-at-not = leído en «{ $place }» y en «{ $other }»: no se puede comparar
quieter-converted-from-m-to-m = convertido de { SIG($from_m) } m a { SIG($to_m) } m
quieter-background-was-too-near-so = el ruido de fondo estaba demasiado cerca, así que un nivel es un tope
conditions-load = carga
conditions-placement = sitio
conditions-sensor = sensor
start-cold = en frío
start-warm = en caliente
conditions-start = arranque
conditions-firmware = firmware
conditions-tuning = ajustes
conditions-side-not-noted =
    { $side ->
        [before] Sin anotar antes; se toma como igual
       *[after] Sin anotar después; se toma como igual
        [neither] Sin anotar en ningún lado
    }.
quieter-noise = Ruido
effects-score = Puntuación
effects-points = puntos
effects-frames-s = fotogramas/s
effects-percent = { FIX($percent, 2, sign: 1) } %
effects-power = Potencia
effects-clock = Frecuencia
effects-same-fan-working = R + { FIX($behind, 2) } K/W·((N / { FIX($rpm, 0) } rpm)^{ SIG($exponent) } − 1), exponente ± { SIG($half_width) }; { $both }
effects-capacity-working =
    calculado: (T_límite − { FIX($room_c, 0) } °C) / R, { $limit_c ->
        [none] límite desconocido
       *[other] límite { FIX($limit_c, 0) } °C
    }{ $draws_w ->
        [none] { "" }
       *[other] , no más de los { SIG($draws_w) } W que consume
    }
comparison-size = { FIX($change, $digits, sign: 1) } ± { FIX($u95, $digits) } { $unit }
headline-improved = Mejor
headline-worse = Peor
headline-fan = el ventilador
headline-place = el sitio
headline-load = la carga
headline-room = la sala
headline-thermometer = el lugar del termómetro
headline-sensor = el sensor
headline-power = el significado de la potencia
headline-split = el reparto entre chips
headline-figure = { FIX($value, $digits) }
headline-watts = { FIX($value, $digits) } W
conditions-degrees = { FIX($value, 1) } °C
conditions-minutes = { FIX($value, 0) } min
conditions-room = sala
conditions-duration = duración
comparison-sag = Del minuto 1 al minuto 10 de carga: { FIX($before_1, 1) } → { FIX($before_10, 1) } W antes, { FIX($after_1, 1) } → { FIX($after_10, 1) } W después.
bearing-same = igual
bearing-corrected = corregido
bearing-noted = anotado
bearing-unknown = no se sabe
bearing-forbids = lo impide

## En qué se apoya una respuesta

assumed-load-by-power = La potencia de ambos registros muestra cuánto trabajó cada prueba.
assumed-load-by-work =
    { $name ->
        [frames] Los fotogramas por segundo fueron los mismos
       *[clock] La frecuencia fue la misma
    } en ambos lados.
assumed-load-not-logged = Nada en los registros muestra que la carga fuera la misma: ni potencia, ni frecuencia, ni fotogramas.
assumed-load-remedy = Repetir un lado con la misma carga y registrar la potencia o la frecuencia.
assumed-use-moved = El uso pasó de { FIX($before, 0) } a { FIX($after, 0) } %: era otra carga.
assumed-work-moved =
    { $name ->
        [frames] Los fotogramas pasaron de { FIX($before, 0) } a { FIX($after, 0) } por segundo
       *[clock] La frecuencia pasó de { FIX($before, 0) } a { FIX($after, 0) } MHz
    } y no se registró la potencia: puede haber cambiado la carga o su límite de potencia.
assumed-power-differs = Antes consumía { FIX($before, 0) } W y después { FIX($after, 0) } W, y un disipador al límite mejora por sí solo con menos potencia.
assumed-power-differs-remedy = Repetir un lado con la potencia del otro.
assumed-fan-logged = La velocidad del ventilador está en ambos registros.
assumed-fan-fixed = Anotado como fijo: { $setting }.
assumed-fan-auto = El ventilador no estaba fijo y su velocidad no está en ambos registros; puede haber girado de otro modo.
assumed-fan-heard = El ventilador se oye en ambas grabaciones a la misma velocidad, { FIX($rpm, 0) } rpm.
assumed-fan-heard-apart = El ventilador se oye a { FIX($before, 0) } rpm antes y a { FIX($after, 0) } rpm después.
assumed-fan-remedy = Repetir con el ventilador fijo o registrar su velocidad.
assumed-room-logged = La temperatura de la sala está en ambos registros.
assumed-room-noted = Anotada a mano, y la curva no da motivo para dudar de ella.
assumed-room-fell =
    { $side ->
        [before] Antes
       *[after] Después
    }, el chip bajó { FIX($fell, 1) } K a la misma potencia: la sala puede haberse enfriado.
assumed-room-late = Solo el { FIX($percent, 0) } % de la diferencia existía a mitad de la prueba: lo que cambia dentro se ve en minutos; una sala, no.
assumed-room-remedy = Repetir con ventanas y calefacción como están y anotar la sala también al final.
assumed-idle-not-logged = La sala se anotó a mano; los registros no contienen reposo con que comprobar el termómetro.
assumed-idle-agrees = En reposo ambos lados estaban sobre la sala anotada lo que debían.
assumed-idle-differs =
    Ya en reposo, después estaba { FIX($apart, 1) } K { $warmer ->
        [yes] más caliente
       *[no] más frío
    } sobre la sala anotada de lo que debía: es el termómetro o el sensor.
assumed-thermometer-remedy = Repetir con el termómetro lejos de la salida de aire y el mismo sensor.
assumed-sensor-same = La misma columna en ambos lados.
assumed-sensor-noted = El mismo tipo de sensor en ambos lados; no se conocen los nombres de las columnas.
assumed-sensor-other = Antes el chip se leyó de «{ $before }»; después, de «{ $after }».
assumed-sensor-other-remedy = Elegir la misma columna en ambos lados.
assumed-sensor-clipped =
    { $side ->
        [before] Antes
        [after] Después
       *[both] En ambos lados
    } el chip muestra desde pronto un mismo valor aunque no se ceda nada por ello: puede que el sensor no muestre más.
assumed-sensor-clipped-remedy = Registrar otro sensor del chip.
assumed-firmware = El firmware cambió entremedias: puede leer el sensor o mover el ventilador de otro modo.
assumed-firmware-remedy = Repetir el antes con el firmware nuevo si aún se puede; si no, decirlo.
assumed-power-agrees = La potencia en reposo y la frecuencia no dan motivo para dudar de la columna de potencia.
assumed-power-idle = En reposo consumía { FIX($before, 0) } W antes y { FIX($after, 0) } W después: la columna de potencia puede significar otra cosa.
assumed-power-clock = La potencia cambió un { FIX($power, 0, sign: 1) } %, la frecuencia un { FIX($clock, 0, sign: 1) } %: la columna de potencia puede significar otra cosa.
assumed-power-remedy = Mirar si ambos registros contienen la potencia de lo mismo, solo del chip.
assumed-split-same = Procesador y gráficos se repartieron la potencia igual en ambos lados.
assumed-split-moved = De la potencia, antes iba al procesador el { FIX($before, 0) } % y después el { FIX($after, 0) } %.
assumed-split-reckoned = La potencia pasó de un chip al otro; por el disipador común son { FIX($kelvins, 1, sign: 1) } K y no explica la diferencia.
assumed-split-remedy = Repetir con una carga que use un solo chip.
assumed-placement-noted = En ambos lados se anotó el mismo sitio; tapa, tela y base no se ven en un registro.
assumed-placement-remedy = Repetir en el mismo sitio, con tapa y soporte iguales.
assumption-load = Carga
assumption-fan = Ventilador
assumption-room = Sala
assumption-thermometer = Termómetro
assumption-sensor = Sensor del chip
assumption-power = Significado de la potencia
assumption-split = Reparto entre chips
assumption-placement = Sitio
standing-checked = comprobado por el registro
standing-noted = anotado a mano
standing-doubtful = dudoso
standing-unknown = no se sabe
headline-over-limit = { $sensor } { $still ->
        [yes] aún
       *[no] ahora
    } { FIX($over, 0) } K por encima del límite
headline-sensor-k =
    { $sensor } { FIX($kelvins, 0) } K { $less ->
        [yes] menos
       *[no] más
    }{ $over ->
        [none] { "" }
       *[other] , { FIX($over, 0) } K por encima del límite
    }
headline-named = { $sensor } { "" }
comparison-sensor-carries = { $sensor }: { FIX($change, 1, sign: 1) } ± { FIX($u95, 1) } K a igual trabajo, más que el azar entre varios sensores.
comparison-sensor-over = Por encima del límite: { $sensor }, con { FIX($after, 0) } °C al final; { FIX($limit, 0) } °C es { $noted ->
        [yes] el límite anotado
       *[no] lo habitual: anote el límite del fabricante
    }.
effects-in-one-room = { $window }; después tal como sería a { FIX($room_c, 1) } °C, pues en su límite un chip da más en una sala más fresca
quieter-place-not-marked = el lugar del teléfono no estaba marcado para ambas grabaciones, así que no se deduce ninguna diferencia
quieter-gain-may-differ = la ganancia del teléfono puede diferir: ni la sala sola ni su siseo son iguales en ambos lados

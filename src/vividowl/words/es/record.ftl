### record

record-pdf-no-difference = sin diferencia
record-pdf-sensor = { CAP($words) }
record-pdf-not-known = no se sabe
record-pdf-record = Informe { $number }
record-written-anew = Redactado de nuevo el { $day } a partir de las mediciones, con { $program ->
        [none] una versión posterior
       *[other] la versión { $program }
    }. El informe entregado el { $handed } no se conservó.
record-pdf-record-2 = Informe { $number } · { $device } · { $customer } · { $day }
record-pdf-came-in-with = Llegó con: «{ $symptom }»
record-pdf-not-measured-on-both-sides = Aún no se ha medido antes y después.
record-pdf-not-noted = sin anotar
words-not-set = sin fijar
record-pdf-better = mejor
record-pdf-worse = peor
record-pdf-changed = distinto
record-pdf-headline = { $headline }.
record-pdf-footer =
    { $demo ->
        [yes] Datos de muestra inventados. { "" }
       *[no] { "" }
    }{ $shop }, informe { $number }{ $draft ->
        [yes] , borrador
       *[no] { "" }
    }
record-pdf-change = { $change } ± { $u95 }
record-pdf-item =
    { CAP($target) }: { $kind }{ $product ->
        [none] { "" }
       *[other] , { $product }
    }{ $lot ->
        [none] { "" }
       *[other] , lote { $lot }
    }{ $amount ->
        [none] { "" }
       *[other]
            , { SIG($amount) } { $unit }{ $spare ->
                [0] { "" }
               *[other] { "" } y { $spare } de reserva
            }{ $known ->
                [planned] { "" } (previsto)
                [weighed] { "" } (pesado)
               *[other] { "" }
            }
    }.
drawing-no-ladder = Sin escalera: no se anotó la sala.
drawing-watts =
    { $power_w ->
        [none] potencia desconocida
       *[other] { FIX($power_w, 0) } W
    }
drawing-kelvins = { FIX($kelvins, 0) } K
drawing-degrees = { FIX($value, 0) } °C
drawing-stops-here = aquí se frena
drawing-load-on = con carga
record-pdf-lead = { $device }: { LOW($verdict) }
record-pdf-before = Antes
record-pdf-now = Ahora
record-pdf-means = Qué significa
record-pdf-cleaned = Limpiado: { $cleaned }.
record-pdf-price = Precio
record-pdf-warranty = Garantía de nuestro trabajo
record-pdf-link = Este informe en su teléfono: escanee el código. Allí también se puede guardar como archivo firmado.
record-pdf-until = hasta el { $day }
record-pdf-next-service = Próxima revisión
record-pdf-agreed = Acordado: { $reason } { $words }
record-pdf-after = Después
record-pdf-change-u = Cambio ± U
record-pdf-shown = Se ve
record-pdf-details = La medida en detalle
record-pdf-measured = Qué se midió
record-pdf-u-is = U es la incertidumbre expandida (k = 2, JCGM 100). Un cambio menor que U no se afirma.
record-pdf-conditions = Cómo se midió
record-pdf-done = Qué se hizo
record-pdf-do = Qué conviene hacer
record-pdf-bench = En el banco de trabajo
record-pdf-attempts = Los intentos, uno junto a otro
record-pdf-attempt = intento
record-pdf-page-of = página
record-pdf-owl = Dos ojos de búho: el izquierdo muestra el aparato antes, el derecho después.
record-pdf-ladder = Cuántos grados retiene cada tramo del camino del calor, antes y después.
record-pdf-chart = Temperatura con carga a lo largo del tiempo, antes y después.
record-pdf-pieces = { $amount ->
    [one] pieza
   *[other] piezas
}
record-pdf-limit = °C{ $limit ->
    [none] { "" }
   *[other] , límite { FIX($limit, 0) }
}
record-pdf-left-alone = { $device }: a su refrigeración no le pasa nada, así que se dejó como está

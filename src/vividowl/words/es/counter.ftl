### counter

consent-leave =
    Dejo { $device }{ $serial ->
        [none] { "" }
       *[other] , número de serie { $serial },
    } en { $shop } para que se mida, se abra, se limpie y se revise.
consent-accessories =
    { $accessories ->
        [none] No venía nada más con él.
       *[other] Con él venía: { $accessories }.
    }
consent-condition =
    { $marks ->
        [one] Su estado se fotografió en un sitio; he visto la foto.
       *[other] Su estado se fotografió en { $marks } sitios; he visto las fotos.
    }
consent-limit =
    { $limit ->
        [none] Aún no hay precio acordado: el taller pregunta antes de empezar.
       *[other] Hasta { $limit } el taller trabaja sin volver a preguntar.
    }
consent-limits = También se acordó: { $limits }
consent-passcode =
    { $passcode ->
        [typed_by_owner] No se dijo el código de acceso; lo tecleo yo donde haga falta.
        [kept_apart] El código de acceso se guarda aparte del aparato y se destruye a la recogida.
       *[not_asked] No se pidió el código de acceso.
    }
consent-backup =
    { $backup ->
        [yes] Mis datos tienen copia de seguridad.
        [no] Mis datos no tienen copia de seguridad; pueden perderse, y lo acepto.
       *[unknown] No se sabe si mis datos tienen copia de seguridad; pueden perderse, y lo acepto.
    }
consent-warranty =
    { $warranty ->
        [running] La garantía del fabricante está en vigor; abrirlo puede anularla, y lo acepto.
       *[unknown] No se sabe si la garantía del fabricante está en vigor; abrirlo puede anularla, y lo acepto.
    }
pickup-device =
    He recibido de vuelta { $device }{ $serial ->
        [none] { "" }
       *[other] , número de serie { $serial }
    }.
pickup-accessories =
    { $accessories ->
        [none] No había venido nada más con él.
       *[other] También está de vuelta lo que venía: { $accessories }.
    }
pickup-record =
    { $version ->
        [1] He recibido el informe de la revisión.
       *[other] He recibido el informe de la revisión, versión { $version }.
    }
pickup-price =
    { $price ->
        [none] No hay precio fijado.
       *[other] El precio es { $price }.
    }
passcode-not_asked = no se pidió
passcode-typed_by_owner = lo teclea el dueño
passcode-kept_apart = se guarda aparte y se destruye a la recogida
place-lid = tapa
place-screen = pantalla
place-keyboard = teclado
place-underside = parte de abajo
place-edges = bordes
place-ports = conectores
place-other = otro sitio
ticket-title = Resguardo { $number }
ticket-pick-up = Recogida { $number }
ticket-came-in = Recibido el { $day }
ticket-device = Aparato
ticket-customer = Cliente
ticket-serial = Número de serie
ticket-symptom = Qué le pasa
ticket-ready = Listo
ticket-mark = { $number }: { $words }
ticket-condition = Estado
ticket-agreed = Qué se ha acordado
ticket-handed-back = Qué se devuelve
ticket-signed = { $name }, { $day }
ticket-not-signed = Aún sin firmar
ticket-scan = Abre el trabajo en el taller
ticket-foot = { $shop } · guarde este resguardo: el aparato se entrega con él
quote-title = Presupuesto { $number }
calendar-pick-up = Recoger { $device }, { $shop }
quote-do-clean = limpiar ventilador y disipador
quote-do-repaste = renovar lo que lleva el calor fuera del chip ({ $kind })
quote-do-pads = renovar las almohadillas
quote-do-shim = poner una plaquita de cobre
quote-do-cover = llevar calor a la tapa
quote-do-tune = ajustar mejor su potencia
quote-do-fan = cambiar el ventilador
quote-do-leave = dejarlo como está
quote-expected = Calculado: de { FIX($low, 0) } a { FIX($high, 0) } grados más fresco con el mismo trabajo.
quote-takes = Tarda unos { $minutes ->
    [one] un minuto
   *[other] { FIX($minutes, 0) } minutos
}, con las esperas.
ticket-ready-at = { $day }, { $clock }
cap = { CAP($words) }

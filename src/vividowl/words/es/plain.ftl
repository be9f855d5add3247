### plain

# El veredicto para quien no sabe nada del asunto.
plain-before-lead = Cuando llegó, con carga, trabajaba
plain-now-lead = { $comparable ->
    [yes] Ahora, con la misma carga, trabaja
   *[no] Al medirlo de nuevo, trabajaba
}
plain-side = { $lead }{ $die ->
    [none] { "" } a una temperatura que no se midió
   *[other] { "" } a { FIX($die, 0) } °C
}{ $how ->
    [never] , sin tener que frenarse
    [held] , frenado por su propio calor el { FIX($held, 0) } % del tiempo
   *[unknown] { "" }
}{ $noise ->
    [none] { "" }
   *[other] , con { FIX($noise, 0) } dB
}.
plain-free = Ya no tiene que frenarse para no calentarse de más.
plain-held = { $less ->
    [yes] Se frena menos
   *[no] Se frena más
}: el { FIX($before, 0) } % del tiempo antes, el { FIX($after, 0) } % ahora.
plain-warmth = Está { FIX($degrees, 0) } { $single ->
    [yes] grado
   *[no] grados
} { $cooler ->
    [yes] { $work ->
        [more] más fresco, aunque rinde más
        [same] más fresco con el mismo trabajo
        [less] más fresco; también rindió menos
       *[unknown] más fresco
    }
   *[no] { $work ->
        [more] más caliente; también rinde más
        [same] más caliente con el mismo trabajo
        [less] más caliente, aunque rinde menos
       *[unknown] más caliente
    }
}.
plain-work = { $more ->
    [yes] Rinde más a la misma temperatura
   *[no] Rinde menos a la misma temperatura
}: { FIX($before, 0) } W antes, { FIX($after, 0) } W ahora.
plain-noise = Hace { FIX($size, 1) } dB { $quieter ->
    [yes] menos de ruido: { $how ->
        [half] suena más o menos la mitad, o menos
        [clearly] claramente más silencioso
       *[just] apenas se oye que es más silencioso
    }
   *[no] más de ruido: { $how ->
        [half] suena más o menos el doble, o más
        [clearly] claramente más ruidoso
       *[just] apenas se oye que es más ruidoso
    }
}.
plain-no-difference = No se puede demostrar ninguna diferencia entre antes y ahora, y no se afirma ninguna.{ $hidden ->
    [none] { "" }
   *[other] { "" } Una mejora de hasta { FIX($hidden, 1) } grados podría esconderse en lo que la medida no alcanza a distinguir.
}
plain-not-comparable = Las dos medidas no se hicieron en las mismas condiciones, así que de ellas no se afirma nada.
plain-calculated = Calculado a partir de vatios y temperaturas, no medido por sí mismo: { $words }.
plain-if-same = Esto vale si { $same } { $assumes ->
    [one] fue igual
   *[other] fueron iguales
} que antes; no es seguro.
plain-fan = el ajuste del ventilador
plain-place = el sitio donde estaba
plain-load = el trabajo del equipo
plain-room = la temperatura de la sala
plain-thermometer = el lugar del termómetro
plain-sensor = el sensor del equipo
plain-power = la forma de medir la potencia
plain-split = el reparto entre procesador y gráficos
after-care-vents = Deje libres las rejillas: una mesa va bien; una cama o una manta lo ahogan.
after-care-skin-limit = Úselo solo en una base o un soporte, nunca sobre las piernas, en la cama ni en la mano: la parte inferior llega a { FIX($skin_high_c, 0) } °C y puede quemar la piel. Usted lo aceptó.
after-care-cover-battery-warm = La parte inferior se calienta cerca de la batería. Cargue hasta el 80 % si el equipo lo permite y tráigalo si la carcasa se abomba.
after-care-alloy-carried = Llévelo apagado y sin golpes: dentro hay metal líquido que puede desplazarse si se agita.
after-care-alloy-on-copper = Hay metal líquido sobre cobre: hágalo revisar una vez al año.
after-care-case = No tiene ventilador y se enfría por su carcasa: déjela libre y sin sol.
after-care-dust = { $surroundings ->
    [pets] El pelo de animales vuelve
    [smoke] El humo vuelve
   *[dusty] El polvo vuelve
} allí donde se usa; cepille las rejillas por fuera de vez en cuando, con el aparato apagado y desenchufado.
after-care-runs-in = La capa nueva todavía se asienta en sus primeras horas de calor. Hasta entonces lo medido es provisional: úselo como siempre y tráigalo de nuevo si se calienta más en vez de menos.
after-care-come-back = Si vuelve a hacer ruido o a ir lento antes de la próxima revisión, tráigalo antes.
record-promise = El plan prometía de { FIX($low, 2) } a { FIX($high, 2) } K/W, con el ventilador como antes; después se midieron { FIX($measured, 2) }{ $u95 ->
    [none] { "" }
   *[other] { "" } ± { FIX($u95, 2) }
}: { $inside ->
    [yes] como se prometió
   *[no] no como se prometió
}.
plain-sensor-over = { $sensor }: { $still ->
    [yes] aún
   *[no] ahora
} { FIX($over, 0) } grados por encima { $noted ->
    [yes] del límite
   *[no] de lo habitual
}; pregúntenos, por favor.

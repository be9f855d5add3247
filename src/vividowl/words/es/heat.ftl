### heat: lo que el informe dice del aire de salida

air-exhaust-rise-went-from-to =
    La subida del aire de salida pasó de { FIX($rise_before, 0) } a { FIX($rise_after, 0) } K, { FIX($measured, 2) } veces; { $by ->
        [fan] el ventilador al { FIX($fan_percent, 0) } % de su velocidad
       *[noise] { FIX($level_change_db, 1) } dB { $quieter ->
            [yes] menos
           *[no] más
        } de ruido
    }{ $watts ->
        [yes] { "" } y { FIX($power_ratio, 2) } veces los vatios
       *[no] { "" }
    }: de ahí siguen { FIX($allowed, 2) } veces, ± { FIX($ratio_tolerance, 0) } %.
air-exhaust-not-known = La subida del aire de salida pasó de { FIX($rise_before, 0) } a { FIX($rise_after, 0) } K. Ni el ruido ni la velocidad del ventilador dicen por qué: un ventilador más lento, más vatios y una mejor interfaz calientan todos el aire de salida.
air-that-does-not-explain-check = Eso no lo explica: revise potencia, asiento y rejillas.
air-that-no-fault-fan-turns = No es un fallo: el ventilador gira más despacio, así que los vatios salen en menos aire.
air-that-no-fault-more-watts = No es un fallo: salen más vatios en el mismo aire.

### measure

comparing-phase-change-interface-was-fitted = Se aplicó un material de cambio de fase: se asienta en sus primeras horas de ciclos de calor. Si esta medida se tomó en los primeros 40 minutos, repítala antes de juzgar.

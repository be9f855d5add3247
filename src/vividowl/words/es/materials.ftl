### materials: cuándo toca la próxima revisión

life-dust =
    polvo, { $surroundings ->
        [unknown] entorno desconocido
        [normal] se usa en un sitio limpio
        [pets] se usa donde hay animales
        [smoke] se usa donde se fuma
       *[dusty] se usa en un sitio con polvo
    }
life-due-for-look = toca mirar: { $words }
life-own-services = de { $cases } servicios propios con { $words }, la mitad perdió la mitad de su mejora en { FIX($months, 0) } meses
life-by-its-drift-so-far = según va, entonces volverá a frenarse

### calendar

calendar-service = Toca revisión: { $device }, { $shop }
calendar-cycles = Deje que { $device } se caliente una vez y se enfríe
calendar-cycles-how = Media hora de trabajo que lo caliente y luego apagado hasta que esté frío. Después de { $cycles } veces la capa nueva se ha asentado.

export const esGlossary = {
  pfrp: 'PFRP',
  pfrpIs:
    'Proceso de mayor reducción de patógenos: calor, tiempo y volteos tras los que 40 CFR 503 da por muy pocos los patógenos. En hilera volteada 55 °C por 15 días con 5 volteos; en recipiente o estática aireada 55 °C por 3 días.',
  psrp: 'PSRP',
  psrpIs:
    'Proceso de reducción significativa de patógenos: un paso menor que PFRP, 40 °C por 5 días con 4 horas sobre 55 °C.',
  cn: 'C:N',
  cnIs: 'Carbono a nitrógeno, por peso. De 25 a 30 partes de carbono por una de nitrógeno calientan mejor; menos huele a amoníaco, más queda frío.',
  moisture: 'Contenido de humedad',
  moistureIs:
    'La parte de agua en el peso húmedo. De 50 a 60 % se siente como una esponja exprimida.',
  density: 'Densidad aparente',
  densityIs:
    'Lo que pesa un volumen tal como está, con aire y agua. Demasiado pesado es poco aire.',
  airspace: 'Espacio de aire',
  airspaceIs: 'La parte de la pila que es aire entre las piezas. Con menos de 30 % se agria.',
  windrow: 'Hilera',
  windrowIs: 'Una pila larga con lados inclinados, que se voltea a lo largo.',
  invessel: 'En recipiente',
  invesselIs: 'Compostaje en un tambor o contenedor cerrado, mezclado o aireado por dentro.',
  aerated: 'Pila estática aireada',
  aeratedIs: 'Una pila que no se voltea: se le sopla o aspira aire por debajo.',
  feedstock: 'Material de entrada',
  feedstockIs: 'Todo material crudo que entra a un lote.',
  batch: 'Lote',
  batchIs: 'Un cuerpo de compost con una historia y un registro.',
  check: 'Control de temperatura',
  checkIs:
    'Lecturas en varios puntos de un lote en cerca de una hora. Se juzga por el punto más frío, salvo que el sitio diga otra cosa.',
  coldest: 'Punto más frío',
  coldestIs: 'La lectura más baja de un control. Si hasta esa es suficiente, todo el lote lo fue.',
  counted: 'Tiempo contado',
  countedIs:
    'Horas que cuentan para una regla: entre dos controles calientes no muy separados, desde que entró el último material crudo.',
  startsover: 'Empieza de nuevo',
  startsoverIs:
    'El tiempo contado se pierde, porque un control fue muy frío o se agregó algo crudo. Al lado dice qué se perdió y por qué.',
  paused: 'En pausa',
  pausedIs:
    'Tras un volteo completo un lote puede enfriarse un rato. Su tiempo se detiene hasta que vuelve a calentarse o se acaba el plazo.',
  fullturn: 'Volteo completo',
  fullturnIs:
    'Todo se mueve: el borde va adentro y lo de arriba abajo. Solo el volteo completo cuenta para una regla.',
  squeeze: 'Prueba del puño',
  squeezeIs:
    'Aprieta un puñado de adentro. Se desmorona: muy seco. Aguanta sin gotas o con una o dos: bien. Escurre: muy mojado.',
  curing: 'Maduración',
  curingIs: 'Las semanas tranquilas después del calor, en que el compost madura.',
  screening: 'Cribado',
  screeningIs: 'Cernir el compost terminado. Lo que pasa es el producto.',
  overs: 'Rechazo',
  oversIs: 'Lo que la criba retiene: trozos de madera que van al siguiente lote.',
  leachate: 'Lixiviado',
  leachateIs:
    'Líquido que escurre de una pila. Es crudo: lejos del compost terminado y de los drenajes.',
  offset: 'Desvío',
  offsetIs:
    'Cuánto se aparta un termómetro de una referencia, como agua con hielo. Las lecturas se corrigen con él.',
  settling: 'Tiempo de estabilización',
  settlingIs: 'Lo que tarda un termómetro en detenerse.',
  quality: 'Calidad de los datos',
  qualityIs:
    'Fuerte, regular o débil: cuántos puntos se midieron, qué tan seguido, qué tan hondo y con qué termómetros revisados.',
} as const;

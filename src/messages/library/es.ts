/** Names and sentences of the library in Spanish, by the English ones that its data hold. */

/** Of methods: forms in the browser show them, too. */
export const esMethodNames: Readonly<Record<string, string>> = {
  'Fast turned pile': 'Pila volteada rápida',
  'First turned on day 4, then every second day; about 18 days.':
    'Primer volteo el día 4, luego cada dos días; unos 18 días.',
  'Pays for speed with work.': 'La rapidez se paga con trabajo.',
  'Turned when it falls': 'Volteada cuando baja',
  'Turned when the heat begins to fall, read by thermometer.':
    'Se voltea cuando el calor empieza a bajar, según el termómetro.',
  'Row turned by machine': 'Hilera volteada con máquina',
  'A loader or a turner goes along the row every third day.':
    'Un cargador o una volteadora recorre la hilera cada tres días.',
  'Turned every week': 'Volteada cada semana',
  'Turned every fortnight': 'Volteada cada dos semanas',
  'Static pile under a cap': 'Pila estática con cubierta',
  'Left alone for thirty days under a cap of old compost or chip, and worked for about 45.':
    'Se deja treinta días bajo una cubierta de compost viejo o astilla, y trabaja unos 45.',
  'Aerated static pile': 'Pila estática aireada',
  'Air is blown or drawn through it from below, under an insulating cover; not turned for about three weeks.':
    'Se le sopla o aspira aire por debajo, con una cubierta aislante; no se voltea por unas tres semanas.',
  'Closed tub with auger and air': 'Recipiente cerrado con tornillo y aire',
  'Mixed by the auger every third day, air blown in; two months or a little more.':
    'El tornillo la mezcla cada tres días, con aire soplado; dos meses o poco más.',
  'Bin moved bay to bay': 'Cajón que pasa de uno a otro',
  'Forked into the next bay when that bay is free or this one is needed.':
    'Se pasa con horca al cajón siguiente cuando está libre o se necesita este.',
  'Slow cold pile': 'Pila fría y lenta',
  'No claim of any kill: it rots in its own time.':
    'No se afirma que mate nada: se pudre a su tiempo.',
};

export const esLibrary: Readonly<Record<string, string>> = {
  ...esMethodNames,
  // Materials
  'Vegetable trimmings': 'Recortes de verdura',
  'Kitchen peelings, raw': 'Cáscaras de cocina, crudas',
  'Cooked food': 'Comida cocida',
  'Fermented food waste, sealed pail': 'Restos de comida fermentados, cubeta cerrada',
  'Fruit waste': 'Restos de fruta',
  'Citrus peel': 'Cáscara de cítricos',
  'Apple pomace': 'Bagazo de manzana',
  'Grape marc': 'Orujo de uva',
  'Spent brewery grain': 'Bagazo de cervecería',
  'Spent hops': 'Lúpulo usado',
  'Coffee grounds': 'Posos de café',
  'Coffee chaff': 'Cascarilla de café',
  'Tea leaves': 'Hojas de té',
  'Grass clippings': 'Pasto cortado',
  'Weeds without seed, leafy': 'Malezas sin semilla, con hoja',
  'Weeds gone to seed': 'Malezas con semilla',
  'Bindweed and couch, with roots': 'Correhuela y grama, con raíces',
  'Roots of invasive plants': 'Raíces de plantas invasoras',
  'Nettles, comfrey': 'Ortigas, consuelda',
  'Bean and pea haulm': 'Rastrojo de frijol y chícharo',
  'Tomato and potato haulm': 'Plantas de tomate y papa',
  'Crop residues, leafy': 'Restos de cultivo, con hoja',
  'Diseased plants': 'Plantas enfermas',
  'Hedge trimmings, leafy': 'Recortes de seto, con hoja',
  Seaweed: 'Algas',
  'Hay, clover or lucerne': 'Heno de trébol o alfalfa',
  'Spoiled silage': 'Ensilaje echado a perder',
  'Cattle manure': 'Estiércol de vaca',
  'Horse manure': 'Estiércol de caballo',
  'Stable litter, much straw': 'Cama de establo, mucha paja',
  'Sheep manure': 'Estiércol de oveja',
  'Goat manure, with bedding': 'Estiércol de cabra, con cama',
  'Pig manure': 'Estiércol de cerdo',
  'Laying hens’ droppings': 'Gallinaza de ponedoras',
  'Hen-house litter': 'Cama de gallinero',
  'Rabbit manure, with bedding': 'Estiércol de conejo, con cama',
  'Dung of cats and dogs': 'Excremento de gatos y perros',
  'Droppings of wild animals': 'Excremento de animales silvestres',
  'Meat, fish, bones': 'Carne, pescado, huesos',
  'Slaughter waste, hides, feathers': 'Restos de matanza, cueros, plumas',
  'Sewage sludge': 'Lodos de aguas residuales',
  'Wool waste': 'Restos de lana',
  Hair: 'Pelo',
  Straw: 'Paja',
  'Hay, grass': 'Heno de pasto',
  Leaves: 'Hojas',
  'Leaf mould': 'Mantillo de hojas',
  Sawdust: 'Aserrín',
  'Wood shavings': 'Viruta de madera',
  'Cardboard, shredded': 'Cartón, triturado',
  'Newsprint, shredded': 'Papel periódico, triturado',
  'Glossy and coloured paper': 'Papel brillante o de color',
  'Maize stalks': 'Cañas de maíz',
  'Maize cobs': 'Olotes de maíz',
  'Reed, miscanthus': 'Carrizo, miscanto',
  'Hop bines, chopped': 'Tallos de lúpulo, picados',
  'Vine and cane prunings': 'Podas de vid y caña',
  'Office paper, shredded': 'Papel de oficina, triturado',
  'Coir, spent potting mix': 'Fibra de coco, sustrato usado',
  'Hardwood chip': 'Astillas de madera dura',
  'Softwood chip': 'Astillas de madera blanda',
  'Chipped prunings, with leaf': 'Podas astilladas, con hoja',
  'Shrub trimmings': 'Recortes de arbustos',
  Bark: 'Corteza',
  'Overs from screening': 'Rechazo del cribado',
  'Nut shells and hulls': 'Cáscaras de nuez',
  'Spent mushroom block': 'Bloque de hongos usado',
  'Treated, painted or glued wood': 'Madera tratada, pintada o encolada',
  'Bran, grain dust': 'Salvado, polvo de grano',
  'Molasses, sugar water': 'Melaza, agua con azúcar',
  'Seed meal, lucerne meal': 'Harina de semilla o alfalfa',
  'Blood meal, hoof and horn': 'Harina de sangre, pezuña y cuerno',
  'Finished compost': 'Compost terminado',
  Eggshells: 'Cáscaras de huevo',
  Biochar: 'Biocarbón',
  'Wood ash': 'Ceniza de madera',
  Soil: 'Tierra',
  'Rock dust, clay, lime': 'Polvo de roca, arcilla, cal',
  'Pond water, rinsings': 'Agua de estanque o de lavado',
  Leachate: 'Lixiviado',
  // Cautions of materials
  'Dusty and full of spores when dry: damp it down and wear a mask.':
    'Seco suelta polvo y esporas: humedécelo y usa mascarilla.',
  'Raw dung: gloves, wash hands, keep children off, tools of its own.':
    'Estiércol crudo: guantes, lavarse las manos, niños lejos, herramientas aparte.',
  'Ask about weedkiller: some kinds outlast composting.':
    'Pregunta por herbicidas: algunos resisten el compostaje.',
  'Test a pot of beans or peas in it before it goes on a bed.':
    'Prueba una maceta de frijol antes de ponerlo en un cultivo.',
  'Bury it inside and cover it with browns at once: it draws rats and flies.':
    'Entiérralo y cúbrelo enseguida con material seco: atrae ratas y moscas.',
  'Roots and seeds survive outside of the hot core: dry or drown them first, and keep them in the middle.':
    'Raíces y semillas sobreviven fuera del centro caliente: sécalas o ahógalas antes y mantenlas en el medio.',
  'Hold it apart until it goes into a hot heap; not for beds of the same crop family before the proof stands.':
    'Mantenlo aparte hasta que entre a una pila caliente; no va a cultivos de la misma familia hasta cumplir la regla.',
  'Animal by-product: the law asks for leave, and for a rule of its own.':
    'Subproducto animal: la ley pide permiso y una regla propia.',
  'Check with your local authority.': 'Pregunta a tu autoridad local.',
  'Draws wasps and flies: inside, and covered.': 'Atrae avispas y moscas: adentro y cubierto.',
  'Sour and slow at first: chop it and spread it thinly.':
    'Ácido y lento al principio: pícalo y espárcelo en capa fina.',
  'Sour, packs tight and runs: always with structure.':
    'Ácido, se compacta y escurre: siempre con estructura.',
  'Sours within a day or two and packs tight: use it fresh, with structure.':
    'Se agria en uno o dos días y se compacta: úsalo fresco, con estructura.',
  'Poisonous to dogs: keep them off.': 'Venenoso para los perros: mantenlos lejos.',
  'Cakes when it lies in one place: spread it thinly.':
    'Se apelmaza en un solo lugar: espárcelo en capa fina.',
  'Bags may hold plastic: tear one open and look.':
    'Las bolsitas pueden tener plástico: abre una y mira.',
  'Seeds on the skin of a heap stay alive: into the middle, an arm’s length from the edge.':
    'Las semillas en la superficie siguen vivas: al centro, a un brazo del borde.',
  'In many places it may not be moved at all: check with your local authority before it comes through the gate.':
    'En muchos lugares no se puede mover: pregunta a tu autoridad local antes de recibirlo.',
  'Gloves for nettles; roots of comfrey grow again.':
    'Guantes para las ortigas; las raíces de consuelda rebrotan.',
  'Yew, laurel and box are poisonous to animals: keep stock off the heap.':
    'Tejo, laurel y boj son venenosos para los animales: ganado lejos de la pila.',
  'Salty: rinse it, and keep it to a tenth of the mix.':
    'Salado: enjuágalo y no pases de un décimo de la mezcla.',
  'Gathering may need leave.': 'Recogerlo puede requerir permiso.',
  'Its juice burns streams: lay it where nothing runs off.':
    'Su jugo daña los arroyos: ponlo donde nada escurra.',
  'Carries parasites that outlast a short heat: refused unless your rules allow it.':
    'Lleva parásitos que resisten un calor corto: se rechaza salvo que tus reglas lo permitan.',
  'Carries germs and parasites nobody has looked for: refused as a rule.':
    'Lleva patógenos y parásitos que nadie ha buscado: por regla se rechaza.',
  'A regulated class of its own, with sampling and records; heat alone never lets it out.':
    'Una clase regulada aparte, con muestreo y registros; el calor solo nunca basta.',
  'Mats: tear it into tufts.': 'Se apelmaza: hazla mechones.',
  'Raw fleece may carry dip: ask.': 'La lana cruda puede tener baño antiparasitario: pregunta.',
  'Mats, and dyed hair brings dyes: a little, well spread.':
    'Se apelmaza, y el teñido trae tintes: poco y bien esparcido.',
  'Street leaves bring litter and tyre dust: leave them out.':
    'Las hojas de la calle traen basura y polvo de llanta: déjalas fuera.',
  'Not from woods without leave: it carries pests along.':
    'No del bosque sin permiso: trae plagas.',
  'Tape, staples and gloss off first.': 'Quita primero cinta, grapas y papel brillante.',
  'Mats when wet: shredded, and mixed with structure.':
    'Mojado se apelmaza: triturado y mezclado con estructura.',
  'Inks and coatings: not into a heap.': 'Tintas y recubrimientos: no va a la pila.',
  'Chop them: whole ones lie for years.': 'Pícalos: enteros duran años.',
  'Edges cut: gloves.': 'Los bordes cortan: guantes.',
  'Bines bring wire and twine along: pull it out before the machine finds it.':
    'Traen alambre y cuerda: sácalos antes de que los encuentre la máquina.',
  'Thorns and ties: gloves.': 'Espinas y amarres: guantes.',
  'Mats when wet.': 'Mojado se apelmaza.',
  'Windows of envelopes are plastic.': 'Las ventanas de los sobres son de plástico.',
  'Fresh chip heats up in the stack: read its temperature, keep the stack low.':
    'La astilla fresca se calienta apilada: mide su temperatura, mantén baja la pila.',
  'Fresh chip with leaf heats up fast in the stack: read its temperature, keep the stack low.':
    'La astilla fresca con hoja se calienta rápido apilada: mide su temperatura, mantén baja la pila.',
  'Lumps of the rim: raw unless the heap they came from was proven.':
    'Terrones del borde: crudos salvo que su pila haya cumplido la regla.',
  'Black walnut harms tomatoes and their kin: keep it out.':
    'El nogal negro daña al tomate y su familia: déjalo fuera.',
  'Copper, arsenic and glue do not rot: refuse it.':
    'Cobre, arsénico y pegamento no se pudren: recházala.',
  'Draws wasps and rats: inside, and covered.': 'Atrae avispas y ratas: adentro y cubierto.',
  'From elsewhere: unproven here, and its hay and dung are unknown.':
    'De otro lugar: aquí sin comprobar, y no se sabe de su heno y estiércol.',
  'Crush them: whole ones stay for years.': 'Tritúralas: enteras duran años.',
  'Raises the pH and drives ammonia off: a dusting, cold, from clean wood only.':
    'Sube el pH y suelta amoníaco: una capa muy fina, fría, solo de madera limpia.',
  'Burns skin and eyes when wet.': 'Mojada quema piel y ojos.',
  'Raw: it starts the clock of a hot heap again.':
    'Cruda: hace empezar de nuevo el reloj de una pila caliente.',
  'Raw: only onto raw heaps, never to a drain or stream.':
    'Crudo: solo a pilas crudas, nunca a un drenaje o arroyo.',
  'Gloves.': 'Guantes.',
  // Rules
  'PFRP, turned windrow (40 CFR 503): 55 °C for 15 days, 5 turnings':
    'PFRP, hilera volteada (40 CFR 503): 55 °C durante 15 días, 5 volteos',
  'PFRP windrow': 'PFRP hilera',
  'PFRP, in-vessel or aerated static pile (40 CFR 503): 55 °C for 3 days':
    'PFRP, en recipiente o pila estática aireada (40 CFR 503): 55 °C durante 3 días',
  'PFRP in-vessel or aerated static': 'PFRP en recipiente o estática aireada',
  'Air is blown or drawn through the pile': 'Se sopla o aspira aire por la pila',
  'United States': 'Estados Unidos',
  Canada: 'Canadá',
  'European Union': 'Unión Europea',
  'United Kingdom': 'Reino Unido',
  Australia: 'Australia',
  'An insulating cover on a static aerated heap':
    'Una cubierta aislante sobre la pila estática aireada',
  'PSRP, composting (40 CFR 503): 40 °C for 5 days, 4 hours of them above 55 °C':
    'PSRP, compostaje (40 CFR 503): 40 °C durante 5 días, 4 horas de ellos sobre 55 °C',
  'PSRP composting': 'PSRP compostaje',
  'Vector attraction reduction (40 CFR 503): 14 days above 40 °C, mean above 45 °C':
    'Reducción de atracción de vectores (40 CFR 503): 14 días sobre 40 °C, media sobre 45 °C',
  'Vector attraction reduction': 'Reducción de atracción de vectores',
  'Organic, turned windrow (7 CFR 205): 131 to 170 °F for 15 days, 5 turnings':
    'Orgánico, hilera volteada (7 CFR 205): 131 a 170 °F durante 15 días, 5 volteos',
  'Organic windrow': 'Orgánico hilera',
  'Organic, in-vessel or aerated static pile (7 CFR 205): 131 to 170 °F for 3 days':
    'Orgánico, en recipiente o pila estática aireada (7 CFR 205): 131 a 170 °F durante 3 días',
  'Organic in-vessel or aerated static': 'Orgánico en recipiente o estática aireada',
  'Produce safety, turned (21 CFR 112): 131 °F for 15 days in all, 5 turnings':
    'Inocuidad de cultivos, volteada (21 CFR 112): 131 °F durante 15 días en total, 5 volteos',
  'Produce safety, turned': 'Inocuidad de cultivos, volteada',
  'Produce safety, aerated static (21 CFR 112): 131 °F for 3 days in a row':
    'Inocuidad de cultivos, estática aireada (21 CFR 112): 131 °F durante 3 días seguidos',
  'Produce safety, aerated static': 'Inocuidad de cultivos, estática aireada',
  'EU compost CMC 3': 'Compost UE CMC 3',
  'Treated as consecutive days here': 'Aquí se toman como días seguidos',
  'CCME compost, windrow (2005): 55 °C for 15 days, 5 turnings':
    'Compost CCME, hilera (2005): 55 °C durante 15 días, 5 volteos',
  'CCME windrow': 'CCME hilera',
  'CCME compost, aerated static pile (2005): 55 °C for 3 days under a cover':
    'Compost CCME, pila estática aireada (2005): 55 °C durante 3 días bajo cubierta',
  'CCME aerated static': 'CCME estática aireada',
  'CCME compost, in-vessel (2005): 55 °C for 3 days':
    'Compost CCME, en recipiente (2005): 55 °C durante 3 días',
  'CCME in-vessel': 'CCME en recipiente',
  'AS 4454, turned windrow: 55 °C for 3 days before each of 3 turnings':
    'AS 4454, hilera volteada: 55 °C durante 3 días antes de cada uno de 3 volteos',
  'AS 4454 windrow': 'AS 4454 hilera',
  'AS 4454, turned windrow, higher-risk feedstock: 55 °C for 15 days, 5 turnings':
    'AS 4454, hilera volteada, materiales de mayor riesgo: 55 °C durante 15 días, 5 volteos',
  'AS 4454 higher risk': 'AS 4454 mayor riesgo',
  'PAS 100 default: 65 °C for 7 days in all, 2 turnings':
    'PAS 100 por defecto: 65 °C durante 7 días en total, 2 volteos',
  'PAS 100 default': 'PAS 100 por defecto',
  'A site’s own limits from its hazard analysis replace it':
    'Los límites propios del análisis de peligros del sitio la reemplazan',
  'Weed seeds (common practice): 130 °F (54.4 °C) for a moist week':
    'Semillas de malezas (práctica común): 130 °F (54.4 °C) durante una semana húmeda',
  'Weed-seed week': 'Semana de semillas de malezas',
  'Food that was in a kitchen with meat is regulated in many places: check with your local authority.':
    'La comida que estuvo en una cocina con carne está regulada en muchos lugares: pregunta a tu autoridad local.',
  'Open sealed pails slowly: gas builds up in them.':
    'Abre despacio las cubetas cerradas: acumulan gas.',
  'It blows about: wet it as it goes in.': 'Vuela con el viento: mójala al meterla.',
  'Mats when fresh: mix it, never a thick layer.':
    'Fresco se apelmaza: mézclalo, nunca en capa gruesa.',
  'Take clips, twine and tape out.': 'Saca clips, cuerdas y cintas.',
  'Moist bales heat up on their own in the stack.':
    'Las pacas húmedas se calientan solas apiladas.',
  'Ask what hay they ate: weedkiller passes through.':
    'Pregunta qué heno comieron: el herbicida pasa por ellos.',
  'Strong ammonia: mix it in the open.': 'Amoníaco fuerte: mézclalo al aire libre.',
  'Old straw sheds water at first: soak it.':
    'La paja vieja repele el agua al principio: remójala.',
  'Only from untreated wood.': 'Solo de madera sin tratar.',
  'Take the plastic off.': 'Quita el plástico.',
  'It may still glow inside: drench it and wait a day.':
    'Puede seguir encendido por dentro: empápalo y espera un día.',
  'Its carbon hardly rots.': 'Su carbono casi no se pudre.',
  'Lime burns skin and eyes, and drives ammonia off.':
    'La cal quema piel y ojos, y suelta amoníaco.',
  'Under an insulating cover': 'Bajo una cubierta aislante',
};

/** How people speak of sleep, of the body's day, and of what surrounds them. */
export const SLEEP_AND_SURROUNDINGS = `
Sleep: kip; shut-eye; a night's rest; resting at night; slumber; rest; sleeping at night; getting some sleep; going to sleep; asleep
Sleep length: eight hours a night; number of hours slept; hours slept; short sleepers; how many hours people sleep; length of the night's sleep; hours in bed; sleeping less than six hours; time asleep; minutes slept; longer sleep
Sleep quality: sleeping well; sleeping badly; sound sleep; refreshed in the morning; how well people sleep; light sleeper; good night's sleep; restless nights; waking refreshed; deep and sound; slept well; unrefreshing sleep; feeling rested
Day sleep: sleeping in the day; sleeping after nights; sleep in the morning after work; sleep when it is light outside; dark bedroom by day; sleeping while others are awake; getting to sleep in the daytime; curtains closed by day; bed after the night shift; sleeping between night shifts; sleep when the sun is up
Naps: forty winks; snooze; dozing in the afternoon; siesta; short sleep in the day; lie down after lunch; afternoon rest; doze; twenty-minute sleep; little sleep in the daytime
Sleep stages: light and deep sleep; phases of sleep; deep sleep at night; eye movements in sleep; slow waves; sleep cycle; how sleep is made up
Sleep onset: dropping off; getting off to sleep; minutes until asleep; nodding off at bedtime; how fast people fall asleep; time until sleep comes; cannot get to sleep; lights out to sleep; takes ages to fall asleep
Waking state: awake; not asleep; up all night; staying up; being up; awake in the small hours; hours awake; waking up; long time awake
Alertness: on the ball; staying sharp; keeping awake and sharp; fresh; bright-eyed; staying alert; keep attention at night; being wide awake on duty; quick to notice; clear-headed; ready to react; feel awake; staying awake on nights
Sleepiness: dozing; nodding off; heavy eyes; yawning; eyes falling shut; fighting sleep; could fall asleep anywhere; struggling to stay awake; sleepy during the day; drowsy at work; dozing off; eyelids drooping; hard to keep eyes open; sleepy at work; tired and wanting to sleep; sleepy staff
Sleep inertia: groggy after a nap; dazed after waking; slow just after waking; not properly awake; fuzzy head on waking; woken up and expected to work; confused on waking; muddled when woken; waking up groggy; first minutes after waking
Sleep problems: not sleeping; bad nights; sleep trouble; sleep upset; sleep badly; disturbed nights; woken in the night; tossing and turning; sleep is broken; trouble with sleep; waking in the night; woken by pain; sleepless
Insomnia: awake half the night; staring at the ceiling; cannot get off to sleep; counting sheep; waking at three; waking too soon; wide awake in bed; cannot drop off; mind racing at night; cannot nod off; not able to sleep; sleep will not come; lie awake; wake up and cannot get back to sleep; waking up at night; hardly sleep; bad sleepers; poor sleepers
Shift work sleep problems: nights ruin sleep; cannot sleep after nights; cannot sleep after the night shift; sleep ruined by shifts; sleep problems of night workers; sleeping badly because of shifts; bad sleep from night work; shift workers who cannot sleep; sleep trouble of nurses on nights
Lack of sleep: too few hours of sleep; short nights; not enough sleep; going without sleep; kept awake all night; a night without sleep; up for twenty-four hours; sleeping too little; tired from no sleep; catching up on sleep; missed sleep; kept from sleeping; sleepless doctors; awake for thirty hours; under-slept; short of sleep
Breathing pauses in sleep: stops breathing in the night; stopping breathing in sleep; husband stops breathing; gasping in sleep; snoring and choking at night; airway closes in sleep; blocked airway in sleep; breathing stops; waking up gasping; breath holding in sleep
Restless legs: legs that twitch in bed; fidgety legs; urge to move the legs; jumpy legs; twitchy legs; legs cannot keep still; crawling feeling in the legs; kicking in bed; jerking legs; tingling legs at bedtime
Nightmares: waking up screaming from a dream; horrible dreams; dreams about the war; dreaming of the accident; terrible dreams; dreams that wake you; bad dream; dreams after trauma; dreams of horror
Snoring: noisy breathing at night; sawing wood; partner snores; snoring husband; rattling breath in sleep; snoring loudly; loud at night
Dreaming: what people dream; dreams; seeing things in sleep; vivid dreams; remembering dreams; dreaming at night
Sleep in hospital: cannot sleep on the ward; patients cannot sleep; sleeping in a hospital bed; kept awake in hospital; quiet nights for patients; patients woken at night; nights in hospital too noisy to sleep; helping patients sleep; rest for patients at night; woken for observations; bad nights in hospital; light and noise keep patients awake
Sleep in pregnancy: pregnant and cannot sleep; expectant mothers who sleep badly; sleeping with a bump; sleeping position in pregnancy; tired while pregnant; sleep before the birth
Children's sleep: getting children to bed; child will not sleep; baby will not sleep; baby wakes at night; toddlers who wake; kids who sleep badly; children who stay up late; child in parents' bed; waking in the night in children; sleep of babies; how long children sleep; kids in bed
Two-part sleep: sleeping in two goes; sleep twice a day; sleep in two blocks; split the sleep; a few hours now and a few later; first and second sleep; half the sleep in the evening and half in the morning; sleep before and after the shift
Sleepwalking: getting up in one's sleep; walking about asleep; wandering at night; night wanderer; up and about while asleep; wandering in the night
Sleep attacks: falling asleep without warning; dropping off in mid-sentence; suddenly asleep; falls asleep at meals; collapsing into sleep; sudden attacks of sleep; legs give way when laughing; falling asleep suddenly in the day
Too much sleep: sleeping all day; sleeps ten hours and still tired; cannot get out of bed; sleeping in; sleeping long; hard to wake; oversleep; always asleep
Night terrors: child screams in sleep; child wakes up screaming; screaming in the night; waking in terror; shrieks at night; panic in sleep
Bedwetting: wetting the bed; wet sheets; child wets the bed; not dry at night; child still wet at night; accidents in bed; wakes up wet; dry nights
Getting up at night to urinate: up to the loo at night; going to the toilet several times a night; needing to pee at night; peeing at night; getting up for the loo; bathroom at night; bladder wakes me; full bladder wakes you; passing urine at night; up and down to the toilet all night
Body rhythms: inner clock; body's day; daily rhythm; rhythm of day and night; body's timing; biological clock; sleep-wake cycle; day and night rhythm; twenty-four-hour rhythm; internal timing
Body clock timing: shifting the body clock; clock runs late; moving the clock; resetting the body clock; late to bed and late to rise; body clock moved forward; turning the clock back; body clock runs behind; adapting to nights; getting used to nights; reset the inner clock; clock delayed by light
Body clock misalignment: clock out of step; body thinks it is day; awake at the wrong time; flying across time zones; time zones; upside-down days; body out of sync; out of rhythm; living against the clock; working against the clock; day and night mixed up; eating and sleeping at the wrong time; social jet lag
Time-of-day type: morning people; evening people; night owls; early birds; late risers; early risers; morning person; larks; late people; people who like the evening
Melatonin rhythm: hormone of the night; sleep hormone; hormone of darkness; hormone that rises in the evening; body's own melatonin; melatonin in saliva; melatonin made at night; melatonin held down by light; evening rise of melatonin
Body temperature rhythm: temperature over the day; body cooler at night; temperature falls at night; warm by day and cool by night; daily rise and fall of temperature; low point of temperature; body heat across the day
Sleep care: helping people sleep; ways to sleep better; how to sleep better; improving sleep; treat bad sleep; promoting sleep; what helps sleep; sleep programme; getting patients to sleep; good sleep for patients; help with sleeping
Sleep advice: tips for better sleep; no coffee in the evening; warm milk; hot drink before bed; rules for good sleep; advice to sleepless people; what to do before bed; advice for a good night; teaching about sleep; sleep lessons; cool dark bedroom; habits for good sleep
Sleep scheduling: bed at the same time; fixed bedtime; times for sleep; regular sleep times; plan for sleeping around shifts; when to go to bed; sleep plan; get up at the same time; timing of sleep; sleep before the night shift; plan when to sleep; evening or morning sleep
Breathing masks for sleep: mask at night for breathing; machine with a mask at night; air blown into the nose; machine that helps breathing at night; wearing a mask in bed; machine for sleep apnoea; mask that blows air; breathing mask in bed; pump and mask for snoring
Earplugs and eye masks: something for the ears and eyes; plugs in the ears; stuff in the ears; blindfold; covering eyes to sleep; block out noise and light; mask over the eyes; ear defenders at night; shut out noise and light; shades for the eyes
Bedtime routines: bath and story before bed; story at bedtime; same thing every night before bed; winding down before bed; putting children to bed; bed on time; evening habits; before bed; kids at bedtime; getting ready for bed; warm bath before bed; bedtime story
Sleep tracking: watch that records sleep; counting sleep with a watch; phone that records sleep; gadgets for sleep; recording sleep at home; measuring sleep with a wristband; bracelet that measures sleep; device that tracks sleep; monitor sleep at home
Light: bright; lux; rays of light; intensity of light; brightness of rooms; white light; colour of light; amount of light
Daylight: sun; light from outside; sun through the window; being outdoors in the light; time outdoors; natural brightness; sunny; light of day; day light indoors; outdoors in daylight
Blue light: light of screens; light from phones; blue rays; cold white light; screens at night; blue glow; light from tablets and phones
Dim light: half dark; weak lamps; dusk; candlelight; hardly any light; gloomy; low brightness; faint light; poorly lit
Light at night: lights on at night; sleeping with the light on; street lamps; lit at night; lights left on; bright at night; not dark at night; light pollution; light in the bedroom; lamps in the dark hours
Lighting: light bulbs; lights in the building; ceiling lights; switch on the light; LEDs; fluorescent tubes; lights in offices; room lights; lamp posts; well-lit rooms; how rooms are lit
Ward lighting: lights on the ward; lights on in hospital; light at the nurses' station; lamps in the hospital; light where nurses work; brightness on the ward; ward lights at night; brighter wards; lights out on the ward; turn down lights on the ward
Dynamic lighting: lights that follow the sun; light that changes during the day; lights that change colour; lamps that brighten and dim over the day; lamps like daylight; light that imitates the day; light brighter in the morning and dim in the evening; smart lamps; lighting that copies daylight
Noise: loud; racket; din; noisy; volume; decibels; loud music; noisy neighbours; hubbub; loud places; being disturbed by noise
Ward noise: loud on the ward; noisy nights in hospital; doors banging at night; talking at the nurses' station; too loud on the ward; phones ringing on the ward; noise in hospital; loud nurses at night; quiet hospital; quiet time on wards; keeping the ward quiet; beeping machines
Indoor climate: too hot in the room; hot rooms; room temperature at night; open windows for fresh air; air conditioning; fans; draughty; cool bedrooms; humid rooms; fresh air indoors; heating
Green space: trees; woods; forest; plants; walking in the woods; countryside near home; parks; nature near home; outdoors among trees; lawns; gardening
Altitude: up in the mountains; living high up; height above sea level; climbers; mountain sickness; little oxygen in the air; peaks
Heat exposure: very hot summers; hot days; heatwave; heat at work; hot summer; standing in the sun; boiling hot; heat in the city; hot kitchens
Air quality: dirty air; smog; exhaust fumes; smoke in the air; fumes; dust in the air; bad air; clean air; smoky air; wildfire smoke
Housing: flats; poor housing; where people live; bad houses; living in a small flat; accommodation; crowded homes; a roof over the head; landlords; slums; rented homes
Damp and mould: black mould on the wall; wet walls; musty rooms; fungus on the wall; mouldy bedroom; damp house; moist homes; mildew
Fuel poverty: cannot afford heating; no money for heating; cannot pay for heating; cold flat; heating bills; freezing at home; cold house in winter; heat or eat; unheated homes
Water: tap water; clean water to drink; dirty water; wells; water pipes; water from the well; unsafe water; lead in water; sanitation
Cold exposure: freezing; cold weather; winter cold; out in the cold; ice and snow; chilly; frostbite; cold hands; cold store work; very cold places
Radiation: rays; X-rays harm; dose of rays; nuclear accident; radioactive; nuclear; risk from scans; gamma rays; radiation risk to staff; lead aprons
Sun exposure: sunbathing; burnt by the sun; too much sun; red skin from sun; sunbeds; time in the sun; suntan; harsh sun; rays of the sun
Traffic: cars; busy roads; crossing the road; lorries; cars on the street; roads; speeding; cycling in traffic; main roads
Floods and storms: earthquakes; high water; hurricane; tornado; wind and rain; natural catastrophe; flooded homes; tsunami; homes under water; severe weather; wildfires
Hospital rooms: room of one's own; room to oneself; own room in hospital; four beds to a room; sharing a room with other patients; bay of six beds; wards with many beds; room design; a room alone; mixed-sex wards; curtains round the bed
Hospital gardens: garden at the hospital; sitting in the garden of the clinic; outside area for patients; greenery around the hospital; plants for patients; courtyard; patients in the garden; green outdoor space at a hospital
Alarms: beeps; beeping; machines that beep; monitor going off; buzzer; call bell; false alarms; bleeping monitors; bells nobody answers; alarms ignored; warning tones; too many alarms; nurses ignore alarms; devices that beep
Cleanliness of surfaces: dirty hospital; wiping down beds; clean hospital; mopping; bleach; wiping surfaces; dirty bed rails; germs on door handles; germs on tables; cleaning of rooms; cleaning lockers; scrubbing; disinfecting beds; wipes; ultraviolet disinfection; dusting
Window views: looking out of the window; seeing trees from bed; bed by the window; no window; windows in the ward; view outside; see outside; looking at trees
Environment and surroundings: around us; place where people live; physical surroundings; climate change; the environment
Sleep and body rhythms: sleeping and waking; rest and activity; night and day of the body
`;

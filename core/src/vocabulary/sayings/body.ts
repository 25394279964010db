/** How people speak of the body and what ails it. */
export const BODY = `
Heart and vessel conditions: bad heart; heart trouble; heart problems; weak heart; hardened arteries; circulation problems; dodgy heart; heart patients; something wrong with the heart; cardiac patients; hole in the heart; heart valve
High blood pressure: blood pressure up; pressure too high; raised pressure; blood pressure through the roof; lowering blood pressure; bring blood pressure down; pressure in the arteries
Low blood pressure: faint when getting up; dizzy when standing up; blackouts; passing out; pressure too low; light-headed on getting up; collapse on standing; head rush; keeling over; fainted; faints
Heart failure: heart does not pump; heart pumps badly; water on the lungs; water in the legs and breathless; fluid in the lungs; heart cannot keep up; pump failing; tired heart; breathless lying flat; heart too weak
Heart attack: coronary; pain in the chest; crushing chest pain; chest pain; pain in the left arm; artery in the heart blocked; clot in the heart; tightness in the chest; after a coronary; stent; bypass; blocked artery
Narrowed heart arteries: furred-up arteries; clogged arteries; chest pain on exertion; tight chest on stairs; chest tightness; stents; bypass operation; furring of heart vessels; chest pains; narrowing of arteries; blocked arteries
Irregular heartbeat: heart flutters; fluttering heart; heart skips a beat; missed beats; racing heart; thumping heart; heart out of rhythm; uneven pulse; pulse all over the place; pacemaker; heart racing; heart beats too fast; skipped beats; heart jumping
Cardiac arrest: heart stops; dropped dead; collapsed in the street; no pulse; collapse with no heartbeat; sudden death; heart stopped beating; dead on the spot; lifeless; collapsed and not breathing; young players who drop dead
Stroke: face drooping; arm weak on one side; weak on one side; one side paralysed; blood clot in the brain; bleed in the brain; half the body paralysed; slurred speech; paralysed down one side; brain haemorrhage; cannot move one arm; face arm speech; burst vessel in the brain
Blood clots: clot in the leg; clots after long flights; clot; swollen calf; clots after surgery; thick blood; leg clot; clotting; preventing clots; long-haul flights; stockings against clots; clots in the veins
Lung clots: clot on the lung; clot travels to the lung; blood clot in the lung; sudden breathlessness from a clot; clot in the chest
Poor leg circulation: legs hurt when walking; calf pain on walking; bad circulation in the legs; cold toes; blocked leg arteries; smoker's leg; blue toes; cold hands and feet; white fingers; poor blood flow in the legs; gangrene; bad circulation
Varicose veins: twisted veins; blue veins on the legs; veins that stick out; spider veins; knotted veins; bulging leg veins; ugly veins
Swollen legs: puffy ankles; thick ankles; swollen feet; ankles swell; water in the legs; fat legs in the evening; swollen arm after breast cancer; puffy feet; swelling of the legs; fluid retention; swollen ankles
Anaemia: not enough iron; thin blood; too little blood; pale and tired; weak blood; few red cells; short of iron; low blood; lacking iron; pale; not enough red blood
Lung conditions: bad lungs; chest trouble; bad chest; lung trouble; weak lungs; breathing problems; breathing trouble; chest problems; trouble with breathing; dusty lungs; lungs do not work well; black lung
Asthma: wheezy; wheezy children; tight chest; wheeze; puffing and wheezing; attack of breathlessness; puffer; tight airways; asthmatic; whistling breath; asthma attacks
Chronic airway narrowing: smokers' cough; damaged lungs from smoking; lungs ruined by smoking; bad lungs from smoking; breathless smokers; old smoker's chest; blocked airways; barrel chest; puffing upstairs; cough and phlegm for years; smoker's chest
Pneumonia: infection of the lungs; lungs inflamed; chest infections; infected lungs; infection on the lung; inflammation of the lungs; food in the lungs; old people with chest infection; aspiration
Tuberculosis: coughing up blood; TB in prisons; night sweats and cough; white plague; TB treatment; six months of tablets for the lungs
Breathlessness: out of breath; puffed out; cannot get air; gasping for air; panting; struggling for breath; short of breath; cannot catch my breath; fighting for air; hunger for air; hard to breathe; difficulty breathing; puffing; breathing hard; winded; trouble breathing
Cough: hacking cough; tickly throat; coughing at night; barking cough; phlegm; coughing fits; cough that lasts; weeks of coughing; whooping cough; will not stop coughing; spluttering; cough syrup
Scarred lungs: hardened lungs; lung tissue turns hard; scar tissue in the lungs; asbestos; lungs stiffen; dust disease; lungs turn to scar
Colds: sneezing; blocked nose; snotty nose; stuffy nose; snuffles; nose runs; head cold; catching a cold; bunged up; sneezes; stuffed-up nose; sinusitis
Metabolic conditions: metabolism; hormones out of order; glands; gland trouble; something wrong with hormones
Diabetes: sugar in the blood; too much sugar; sugar trouble; blood sugar; sugar levels; raised sugar; diabetic patients; sweet urine; high sugar; sugar illness; late-onset diabetes
Childhood diabetes: child with diabetes; diabetic child; diabetes since childhood; children who need insulin; kids with sugar disease; diabetes in young people; diabetic teenagers; injecting at school
Diabetes of pregnancy: sugar too high when pregnant; sugar in pregnancy; diabetic in pregnancy; pregnant with high sugar; big baby; sugar test in pregnancy; diabetes before birth
Low blood sugar: sugar too low; shaky from low sugar; hypo at night; sugar crash; sugar drops; shaky and sweating diabetics; sugar falls; going low; needs a sweet drink; low sugar
Obesity: fat; too heavy; big people; weight problem; large waist; plump; extra kilos; putting on weight; gaining weight; weight gain; big belly; too fat; heavy children
Malnutrition: not eating enough; skin and bones; too thin; eats too little; starved; losing weight without wanting to; not hungry; off food; lost appetite; poor eaters; wasting away; hunger; eating like a bird; getting thin; patients who do not eat; clothes too big; hardly eating; starving; scrawny; weight falls off; no interest in food
Thyroid problems: lump in the throat gland; neck gland; swollen neck gland; gland in the neck; slow metabolism gland; bulging eyes; thyroid tablets; thyroid gland; swelling in the neck
Gout: swollen big toe; crystals in the joint; red hot toe; toe on fire; rich man's disease; painful toe; acid in the blood
High cholesterol: fat in the blood; fatty blood; blood fats; bad cholesterol; lowering cholesterol; high fats; greasy blood
Metabolic syndrome: big waist and high sugar; fat belly with high pressure; on the way to diabetes; nearly diabetic; borderline diabetes; sugar and pressure and fat
Vitamin shortage: too few vitamins; not enough vitamin D; lack of sun vitamin; lacking vitamins; rickets; vitamin levels; vitamin B12
Dehydration: dried out; not drunk enough; parched; thirsty; too little to drink; lost too much water; dry as a bone; sunken eyes; dried up; dehydrated; body short of water
Nervous system conditions: nerve disease; nerve trouble; illness of the brain; brain disease; something wrong with the nerves; brain trouble; meningitis; inflamed brain; brain inflammation; brain tumour; neurology patients; nerves and brain
Migraine: pounding head; splitting head; one side of the head throbs; throbbing head; flashing lights before the eyes; bad headaches with sickness; headaches with flashing lights; head splits and light hurts
Headache: head hurts; aching head; head pounding; pain in the head; sore head; throbbing temples; bad head; heads that hurt
Parkinson-like conditions: shaking hands; trembling; tremor; stiff and slow; shuffling walk; shakes; hands that shake; hand tremor; shuffling steps; slow stiff movements; shaky; trembling hands; freezing while walking
Nerve pain: burning pain; shooting pain; pins and needles that hurt; electric shocks in the leg; pain after shingles; stabbing nerve; pain from damaged nerves; pain like electric shocks; trapped nerve; burning feet
Epilepsy: having a fit; a fit; shaking all over and unconscious; blackout with jerking; falling down and shaking; child has fits; jerking; fitting; takes a turn; foaming at the mouth; absence spells; seizure; convulsing
Multiple sclerosis: nerves lose their coating; walking gets worse over years; relapse; weakness that comes and goes; nerves lose insulation
Brain injury: hit on the head; blow to the head; knocked out; bang on the head; knock on the head; skull fracture; head injuries in sport; knocked unconscious; after a head injury; bump on the head; heading the ball
Spinal cord injury: paralysed; cannot move the legs; broke his neck; broken neck; broke her back; paralysed from the waist down; paralysed after an accident; diving accident; in a wheelchair after an accident; damaged spine; no feeling below the waist
Dizziness: head spins; giddy; room is spinning; feeling faint; unsteady and dizzy; the world turns; dizzy; light in the head; everything spins; dizzy when turning over; woozy
Numb feet: no feeling in the feet; pins and needles; feet asleep; cannot feel my feet; tingling toes; numbness; numb toes; numb fingers; numb hands; dead feet; tingling; feet without feeling; nerve damage from diabetes; nerve damage from chemotherapy
Motor nerve wasting: muscles waste away; loses all movement; slowly paralysed; muscles stop working; nerves to the muscles die; losing speech and movement; wasting of the muscles; locked in own body
Swallowing problems: food goes down the wrong way; chokes on food; choking; cannot swallow; coughing when eating; thick drinks; thickener; soft food; pureed food; thickened fluids; minced food; food gets stuck; choking when drinking; gag; unable to swallow; difficulty eating after a stroke; hard to swallow; swallow tablets; lump stuck in the throat; safe swallowing
Facial palsy: crooked mouth; face hangs; face droops on one side; half the face does not move; mouth hangs down; lopsided face; eye will not close; twisted face
Muscle and joint conditions: aches and pains; bones and joints; joint trouble; muscle trouble; stiff joints; sore muscles; rheumatism; creaking joints; muscle and bone problems; sprain; strained muscle; pulled muscle
Back pain: my back hurts; bad backs; pain in the spine; back gone; sore spine; put my back out; back trouble of nurses; back injury; aching back; back strain; hurt my back; disc; pain down the leg; back problems from lifting; lower back
Neck pain: crick in the neck; neck hurts; pain between head and shoulders; neck ache; aching neck; cannot turn the head; neck stiff from the screen; neck strain
Joint wear: worn-out joints; wear and tear; creaky joints; bone on bone; worn hips; rubbing joints; joints that wear out; stiff in the morning; hip wear; painful hips; sore hip; hip pain
Knee joint wear: bad knees; dodgy knee; painful knee; sore knees; knee pain; knees hurt; knee gives way; aching knees; creaking knee; knee trouble; knee worn away
Inflamed joints: swollen fingers; joints hot and swollen; painful joints; rheumatic; joint inflammation; stiff swollen hands; knobbly hands; sore joints; joint pain; aching joints; hot joints; immune system attacks joints; lupus
Hip fracture: broke her hip; break a hip; broken thigh bone; hip gone after a fall; hip snapped; fall and broken hip; hip surgery after a fall; pinned hip; neck of the femur; breaking a hip
Broken bones: cracked rib; fractured leg; broken ankle; snapped bone; cracked bone; broke my arm; in plaster; broken ribs; bone in two; leg in plaster; bones that do not mend; broken collarbone; bone healing; broken toe; broken nose; ankle fracture; bone breaks; healing bones; stress fracture
Wrist fracture: broke my wrist; snapped wrist; broke the wrist falling; wrist in plaster; cracked wrist; wrist break; fall on an outstretched hand
Brittle bones: bones like glass; thin bones; crumbling bones; bones break easily; weak bones; soft bones; bones lose strength; shrinking spine; bones that break easily; bone thinning; fragile bones; bone strength; bone scan; calcium; bent back in old women
Muscle loss: muscles get weaker with age; muscle shrinks; thin legs; losing muscle; loss of muscle in old age; muscles fade; wasted muscles; weak with age; muscles waste in bed; shrinking muscles
Shoulder pain: sore shoulder; shoulder hurts; cannot lift the arm; arm will not go up; cannot raise arm; painful arm; locked shoulder; torn shoulder; aching shoulder; arm pain; shoulder injury; sore arm
Wrist nerve pinch: numb hand at night; fingers go to sleep; trapped nerve in the wrist; tingling fingers; hand goes numb; thumb numb; hand asleep at night; pins and needles in the fingers; nerve in the wrist
Tendon pain: sore elbow; painful heel cord; elbow hurts; sore from typing; strain from repeating the same movement; heel tendon; elbow pain; typing injury; golfer's elbow; repetitive strain; jumper's knee
Widespread muscle pain: hurts all over; aches everywhere; everything hurts; muscles ache all over; whole body aches; sore all over; body aches; pain everywhere
Amputation: leg cut off; leg off; lost a leg; lost an arm; losing a leg; arm taken off; losing a limb; toe removed; leg had to be removed; without a leg; limb cut off; cut off finger
Foot problems: corns; hard skin on the foot; blisters; ingrown toenail; toenails; aching feet; feet hurt; painful heel; verruca; fallen arches; foot pain; crooked toes; bad shoes; sore heel; athlete's foot
Wounds: cut; gash; open sore; graze; bleeding cut; sore that will not close; slow healing; wound healing; does not heal; sores that do not heal; ulcer; raw flesh; wound care; torn flesh; stab wound; wounds that stay open; healing of wounds; not healing
Pressure ulcers: sores from lying; sores from sitting too long; red heels; sore bottom from lying; holes in the skin from lying; skin breaks down over the tailbone; lying too long in one position; sore heels in bed; skin damage from pressure; sores on the back; heel sores; red skin over bones; lying in one place; bed-bound people with sores; sore tailbone; skin broken from lying
Leg ulcers: open sores on the legs; leg that will not heal; weeping legs; wound on the shin; sore on the leg for months; wet leg wounds; holes in the leg; legs that weep; open shin; sore on the ankle
Diabetic foot ulcers: diabetic with a sore foot; sore on the sole; hole in the foot; foot that will not heal in diabetes; toe going black; sores on diabetic feet; black toes; wound under the foot; feet of diabetics
Surgical wounds: cut from the operation; stitches; scar after surgery; sutures; stitches out; staples; burst stitches; wound opens after surgery; closing the cut; cut after an operation; wound breakdown; stitches burst; clips; skin glue; wound from the operation
Surgical wound infection: infected after surgery; pus from the scar; pus after an operation; wound goes bad after surgery; red and oozing scar; infection after an operation; infected stitches; infection after surgery; wound infected after operation
Wound infection: pus in a wound; septic cut; dirty wound; wound smells; smelly wound; green wound; festering; wound gone bad; infected cut; oozing wound; weeping wound; smelly sore; red and hot wound
Burns: burned; burnt hand; hot water on skin; fire injuries; scalded; blistered by fire; burned in a fire; hot iron; skin burnt; burn victims; hot oil; kitchen burns; people burned
Scalds in children: child pulled a kettle; hot tea over a child; toddler scalded; burned toddlers; hot water over baby; child burned by coffee; bath too hot; kettle; cup of tea spilled on a child
Skin tears: thin skin rips; paper-thin skin; skin like paper; torn skin of old people; skin rips; skin peels off; delicate skin; fragile skin; ripped skin; skin torn by plaster
Skin damage from moisture: sore from wet pads; red bottom; nappy sores; sore bottom in babies; diaper rash; wet skin; rash from incontinence pads; skin sore from urine; rash under nappies; red from wetness; soggy skin; sore between the folds
Bites: bitten; bitten by a dog; dog attack; sting; bee sting; wasps; tick; cat scratch; spider; snake; mosquito bites; bitten by a snake; venom
Scars: mark left by a wound; marks on the skin; thick scar; lumpy scars; ugly marks; marks after surgery; stretch marks; scar cream; flat scars
Infections: catching something; bug; germ; virus; viruses; viral illness; bacteria; contagious; catching diseases; chickenpox; shingles; mumps; meningitis; spreading disease; infectious illness; coronavirus; scarlet fever; rash and fever; passing it on; glandular fever; disease from animals
Care-related infections: caught in hospital; infection from the hospital; infected while in hospital; hospital bugs; germs caught on the ward; infection picked up in hospital; made ill by the hospital; picked up a bug in hospital
Catheter infections: infected drip; infected tube; drip site red; infection from a tube; infection through the drip; red sore line; germs in the line; infection from a bladder tube
Blood poisoning: poisoned blood; infection in the blood; infection all over the body; blood infected; body overwhelmed by infection; infection spreads to the blood; septic; overwhelming infection
Urinary infections: burning when peeing; burning pee; stinging when passing water; wee stings; hurts to pee; hurts to wee; burns when I pee; smelly urine; cloudy urine; bladder inflamed; kidney infection; infection of the bladder; pain passing urine; stings to pee; waterworks infection
Influenza: winter flu; down with flu; bird flu; flu epidemic; flu outbreak; proper flu; fever and aches in winter
Stomach bugs: upset stomach; the runs and vomiting; bad food; upset tummy; winter vomiting; vomiting bug; throwing up and runs; food gone off; sick from food; holiday tummy; gut infection; tummy upset; cruise ship sickness; cholera; salmonella
Malaria: mosquito disease; fever from mosquitoes; bed nets; mosquito nets; mosquito; tropical fever; fever from the tropics; mosquito bites fever
HIV: virus that weakens defences; living with the virus; antiretroviral; positive status; needle sharing virus; immune virus; virus passed on by sex
Hepatitis: liver infected; liver virus; jaundiced liver; yellow from the liver; liver infection; jaundice in adults; yellow skin and eyes; shared needles liver
Measles: red rash with fever; spotty child; rash all over in a child; outbreak of rash; red spots and fever; German measles; rubella; unvaccinated child with rash
Resistant bacteria: germs that antibiotics cannot kill; antibiotics do not work any more; bugs that resist; resistant germs; bacteria no drug can kill; antibiotics stop working; germs immune to antibiotics; overuse of antibiotics; untreatable infections; hospital superbug
Bowel infection after antibiotics: runs after antibiotics; loose bowels after antibiotics; diarrhoea from antibiotics; smelly diarrhoea in hospital; upset gut after antibiotics; stool transplant
Eye infections: gummed-up eyes; red sticky eyes; eye glued shut; pus in the eye; red itchy eye; infected eye; stye; eye weeps; gunky eyes; sore red eye
Ear infections: sore ear; ear ache; ear hurts; child pulls at ear; pus from the ear; fluid behind the eardrum; grommets; runny ear; swimmer's ear; pain in the ear; ear pain
Sore throat: throat hurts; hurts to swallow; scratchy throat; swollen tonsils; raw throat; throat on fire; tonsils out; quinsy; hoarse; painful throat; red throat; tonsils
Skin infections: red hot leg; red swollen skin; pimples with pus; abscess; carbuncle; scabies; ringworm; warts; cold sores; fungus on the skin; crusty sores; infected spots; spreading red skin; shingles rash; fungal skin; boil; nail fungus
Worms and parasites: head lice; lice; nits; worms in the gut; itchy bottom at night; tapeworm; bugs in hair; fleas; bedbugs; mites; worm tablets; pinworms
Sexual infections: caught from sex; caught through sex; syphilis; gonorrhoea; herpes; genital warts; discharge and itching; infection from unprotected sex; thrush; infections passed on by sex
Outbreaks: spread quickly; many cases at once; disease going round; plague; new virus sweeping the world; lockdown; worldwide disease; coronavirus; covid; disease spreads; many people fall ill; contact tracing; wave of infections; spread on the ward
Fever: burning up; running a temperature; hot forehead; high temperature; temperature in a child; child is burning hot; sweats and shivers; shivering; hot child; fits with fever; thermometer; temperature over thirty-eight; bring down temperature
Pain: hurts; hurting; aching; sore; agony; in pain; something hurts; suffering; discomfort; how much it hurts; relieve suffering; painful; ouch; pain at night; wakes up in pain
Pain in children: hurts the child; child in pain; crying with pain; kids in pain; growing pains; babies in pain; jabs that hurt children; blood test hurts the child; sore child; heel prick; pain in babies; legs hurt in growing children
Pain after surgery: hurts after the operation; sore after the operation; wound pain; aching after surgery; pain the day after surgery; in pain after an operation; pain on the first day; pain after being operated on; pain once the anaesthetic wears off; recovery room pain
Labour pain: pain of birth; contractions; pain relief in labour; gas and air; birth hurts; giving birth without pain; childbirth hurts; water birth; birth pool; pains of giving birth; pain when giving birth
Lasting pain: pain for months; pain that will not go away; pain for years; always in pain; constant pain; living with pain; pain every day; pain that never stops; hurts all the time; long-standing pain; pain clinic; people in pain for years
Cancer pain: pain of a tumour; tumour hurts; pain in dying cancer patients; pain with cancer; hurting from cancer; bone pain in cancer; cancer that hurts
Period pain: cramps; monthly cramps; tummy cramps every month; painful monthlies; stomach cramps of women; hurts every month; period cramps; time of the month
Phantom pain: feeling a leg that is gone; hurts where the arm was; pain in a leg that is not there; missing limb; leg that is no longer there; arm that is not there hurts; absent limb; pain after losing a leg; still feels the missing hand; ghost limb; mirror box
Procedure pain: hurts when the dressing is changed; injection hurts; having blood taken hurts; pain of a jab; pain during an examination; pain while putting in a drip; jab hurts; needles hurt; taking blood painful; less painful injections; cannula hurts; biopsy hurts; numbing cream
Toothache: tooth hurts; aching tooth; pain in the jaw; teeth hurt; tooth throbs; jaw pain; throbbing tooth; sensitive teeth; wisdom teeth
`;

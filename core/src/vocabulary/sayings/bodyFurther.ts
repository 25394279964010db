/** How people speak of the body, further: falls and function, cancer, birth, organs, senses, injuries. */
export const BODY_FURTHER = `
Falls: fell over; fell down the stairs; found on the floor; stumble; slipped on ice; tumble; slipping; fell out of bed; fall from bed; fall in the bathroom; trip over; old person on the floor; fallen; going down; slip on wet floor; fall in hospital; keeps falling; falls out of bed; fell at home; tripped
Incontinence: wets herself; cannot hold water; leaks when laughing; leaks when coughing; leak urine; not getting to the loo in time; pads; weak bladder; cannot hold it; accidents with the bladder; wet knickers; urine leaks; dribbling; soiling oneself; bowel accidents; poo accidents; losing control of the bladder; nappies for adults; bladder control; cannot hold the bladder
Constipation: cannot go; bunged up; bowels do not move; hard poo; no bowel movement for days; blocked up; cannot poo; straining on the toilet; not been for days; bowels stopped; opioids block the bowel; bowels blocked; unable to open bowels
Feeding in infancy: bottle or breast; feeding the baby; bottle feeding; formula milk; weaning; first solid food; baby milk; how to feed a baby; baby will not feed; baby food; milk bottles; feeding newborns; baby does not gain weight
Breastfeeding: giving the breast; mother's own milk; putting baby to the breast; milk coming in; sore nipples; latching on; stop nursing; milk supply; mothers who give up nursing; pumping milk; expressed milk; nurse the baby; feed at the breast; how long to breastfeed; mothers feeding their baby themselves; wet nurse
Frailty: weak old people; fragile old people; old and weak; delicate old person; infirm; feeble; slow and weak in old age; losing strength in old age; frail people; thin weak elderly; weak in old age; vulnerable old people
Cancer: tumour; growth; lump; the big C; cancerous; malignant growth; cancer patients; oncology patients; spread of cancer; carcinoma; secondaries; cancer treatment; people with cancer
Breast cancer: lump in the breast; breast removed; breast off; women with breast cancer; breast lumps; breast operation for cancer; lumpectomy; found a lump
Lung cancer: cancer from smoking; shadow on the lung; growth in the lung; cancer of the lung; smokers' cancer; lungs with cancer; spot on the lung
Bowel cancer: blood in the stool; growth in the bowel; cancer of the bowel; polyps; tumour in the gut; cancer of the colon; cancer of the rectum; blood in poo
Prostate cancer: men's cancer; cancer down below in men; PSA test; prostate removed; cancer of old men; prostate surgery; prostate operation
Skin cancer: mole that changes; dark spot on the skin; changing mole; bleeding mole; black mole; moles; cancer from the sun; skin growths; mole check
Blood cancer: cancer of the blood; too many white cells; bone marrow cancer; cancer of the bone marrow; cancer in the glands; white blood cells gone wrong; bone marrow transplant; stem cell transplant
Childhood cancer: kids with cancer; young children with tumours; little ones with leukaemia; cancer ward for children; teenage cancer; child has cancer
Cancer survivors: after cancer; cured of cancer; beating cancer; beat cancer; years after cancer; living on after cancer; over cancer; got through cancer; finished cancer treatment; cancer free
Cancer fatigue: tired from chemo; exhausted by cancer; worn out by cancer treatment; no energy during chemotherapy; drained by chemo; tired during radiotherapy; weary with cancer; exhaustion after cancer; no energy after cancer
Neck and throat cancer: cancer of the tongue; cancer of the mouth; voice box cancer; cancer in the throat; cancer of the larynx; lump in the neck cancer; tongue cancer; tumour in the throat
Womb and ovary cancer: cancer of the womb; women's cancers; cancer of the ovaries; cervix; cancer of the cervix; bleeding after the change; gynaecological tumours
Nausea and vomiting: throwing up; puking; bringing up food; sick after the operation; sick from chemo; queasy; feel sick; sick after an anaesthetic; vomits; sick to the stomach; retching; being sick after surgery; sick after chemotherapy; wants to vomit; motion sickness
Dry mouth: no spit; mouth like a desert; parched mouth; little saliva; dry lips; sticky mouth; dry tongue; mouth dries out; thirsty and dry; no saliva
Walking: on foot; learning to walk again; walk; limping; getting about on foot; cannot walk far; unsteady gait; shuffling; on one's feet; strides; able to walk; walk again; walking trouble
Walking speed: how fast people walk; slow walkers; walks too slowly; pace; walk faster; time to cross the road; quicker steps; slow on foot
Balance: wobbly; unsteady on the feet; keeping upright; standing on one leg; off balance; staying upright; sway; losing balance; steady on the feet; tottering; wobbling
Muscle strength: strong; weak arms; getting stronger; grip of the hand; strong legs; how strong people are; weak muscles; hand grip; lost strength; force; powerful muscles; build up muscle
Daily living tasks: washing and dressing and eating; everyday things; managing at home; looking after oneself at home; day-to-day tasks; getting on with daily life; feeding oneself; doing things for oneself; independence; living independently; things people do every day; coping at home; needing help every day; manage alone
Mobility aids: stick; frame to walk with; something to lean on; walk with a stick; wheeled walker; trolley to walk with; Zimmer; cane; frame with wheels; support for walking; on crutches
Wheelchairs: chair with wheels; electric wheelchair; in a wheelchair; mobility scooter; power chair; getting about in a chair; wheelchair users; pushed in a chair
Early mobilisation: up and about soon after surgery; getting patients up; out of bed the day after; up on day one; patients walk the same day; getting out of bed soon; sitting out in a chair; on their feet after an operation; up after the operation; moving intensive care patients; walking patients early; get patients moving
Stair climbing: up the stairs; flight of steps; stairs at home; cannot manage stairs; going up steps; stairlift; walking upstairs; steps up
Standing up from a chair: getting out of a chair; stand up; hard to get up from the sofa; rise from sitting; cannot get up from the chair; getting up without using arms; up from the toilet; getting to one's feet
Hand function: using the hands; cannot do up buttons; buttons; picking things up; clumsy fingers; fiddly things; writing by hand; fingers do not work; holding a cup; opening jars; handwriting; skilful hands; cannot open jars; shaky hands; fine finger movements
Joint movement: stiff knee; bending the knee; how far a joint bends; supple; bending and stretching; stiff hip; cannot bend; joints move freely; bendy; stretch; limbering; loosening stiff joints; stretching exercises
Fitness: being fit; out of shape; in good shape; puff; fit people; unfit; how fit; oxygen uptake; in shape; getting fit; conditioning; physical condition
Posture: sitting straight; sitting up straight; bent back; hunched; round shoulders; standing straight; how one sits; slumped; stooped; bad posture; straight back
Going out of home: getting out; stuck at home; housebound; never leaves the house; cannot leave the house; going outdoors; getting to the shops; confined to home; out and about; trips out; shut in at home; getting around town
Bathing and dressing: having a wash; having a bath; in the shower; washing patients; putting on clothes; putting on socks; bed bath; help with washing; help to dress; shower; clothes on; bathing people with dementia; washed by someone else; getting into the bath; personal hygiene; shaving
Household tasks: cleaning the house; cooking; shopping; laundry; paying bills; ironing; hoovering; managing money; cook for oneself; washing up; running a home; household
Speech: stammer; stutter; slurred; lost voice; hoarse voice; pronouncing; speaking clearly; talk; mumbling; speaking; loud voice; croaky voice; speak again
Bed mobility: turning over in bed; moving about in bed; sitting up in bed; cannot turn over; roll over in bed; shift up the bed; bedridden; stuck in bed; bed-bound; confined to bed; pulling oneself up in bed; lying still in bed
Mobility and function: moving and managing; what the body can do; getting about; able to move
Pregnancy and birth: having twins; twin births; giving life; from bump to baby; nine months; being pregnant and giving birth; multiple births; triplets; carrying a child; antenatal; expecting a baby; births; twins
Labour: contractions start; waters break; waters have broken; pushing the baby out; birth of a child; baby is coming; natural birth; home birth; giving birth at home; pushing; delivering the baby; delivery; forceps; birth plan; birth partner; when a baby is born; going into labour; broken waters
Long labour: birth that takes days; birth takes too long; labour drags on; stuck labour; slow birth; baby will not come; labour stops; hours of pushing
Starting labour: past the due date; overdue baby; baby late; getting labour going; bring on the birth; setting off labour; start the birth; overdue; drip to start labour; waters broken by hand; making labour start
Caesarean birth: cut to get the baby out; section; baby taken out by operation; baby cut out; emergency section; planned section; surgery to deliver the baby; birth by surgery; baby by operation
Miscarriage: lost the baby; lost a baby; losing a baby early; bleeding in early pregnancy; pregnancy that ends; baby lost in the first weeks; losing the baby; repeated loss of pregnancy; ectopic; early loss
Stillbirth: baby born without life; dead baby; baby died before birth; baby dies in the womb; born dead; born sleeping; lost at term; no heartbeat
High blood pressure of pregnancy: pressure up while pregnant; protein in the urine when pregnant; swollen and high pressure in pregnancy; fits in pregnancy; pregnant with high pressure; raised blood pressure in pregnant women
Morning sickness: sick while pregnant; vomiting when pregnant; throwing up in pregnancy; pregnant and sick; queasy in early pregnancy; sick every morning
Tears at birth: torn down below; torn during the birth; stitches after the baby; torn giving birth; cut during birth; tearing; episiotomy; stitched after birth; sore down below after birth; massage before birth against tearing
Teenage pregnancy: pregnant schoolgirls; schoolgirl mothers; girl of fifteen expecting; very young mums; pregnant at sixteen; pregnant girls; teenage mums; babies of teenagers
Women's health: female problems; women's troubles; down below; vaginal; endometriosis; ovaries; women's illnesses
Menopause: the change; night sweats; sweats in middle-aged women; flushes; end of periods; hot sweats; periods stop; women in their fifties; sweating at night in women; change of life symptoms; midlife women
Heavy periods: bleeding too much every month; flooding; soaked pads; loses too much blood each month; bleeds heavily; monthly bleeding; too much blood at periods; fibroids; long heavy bleeding; periods
Infertility: cannot have a baby; trying for a baby; no luck getting pregnant; childless couples; test-tube babies; cannot get pregnant; trying to conceive; egg donation; couples who cannot have children; wanting a baby; sperm count; getting pregnant; struggling to get pregnant
Birth control: not getting pregnant; coil; preventing pregnancy; condoms; morning-after pill; avoid pregnancy; implant in the arm; stop having children; sterilisation; vasectomy; being on the pill; unwanted pregnancy
Pelvic floor weakness: womb drops; womb coming down; something coming down; dropped bladder; muscles below weak after birth; falling womb; bulge down below; pessary; sagging bladder; weak muscles down below
Men's health: men's problems; illness in men; male problems; testicles; testosterone; male troubles
Prostate enlargement: old men who pee often; weak stream; trouble peeing in men; waterworks in men; slow stream; men up at night to pee; large prostate; dribbles; men who cannot pee
Erection problems: trouble in bed for men; sex after prostate surgery; no erection
Digestive conditions: tummy trouble; bad stomach; gut trouble; belly ache; stomach ache; tummy ache; digestion; wind; bowel trouble; abdominal pain; bloating; bloated; appendix; appendicitis; stomach pain; gut problems; pain in the belly
Acid reflux: burning behind the breastbone; sour burps; acid comes up; burning in the chest after meals; acid stomach; burning stomach; acid in the throat; burping; food comes back up
Stomach ulcer: hole in the stomach; sore in the stomach; bleeding stomach; stomach lining damaged; burning stomach on an empty belly; stomach bug bacteria; ulcers in the stomach
Irritable bowel: bloated belly; cramps and wind; upset bowels; runs and cramps; nervous stomach; nervous gut; bloated; bowels play up; touchy bowels; bloating and cramps; gassy
Inflamed bowel: bloody diarrhoea; gut inflamed; bleeding bowel; sore gut; inflamed gut; bowels inflamed; flare of the gut
Diarrhoea: the runs; the trots; on the toilet all day; watery poo; upset bowels; running to the toilet; loose bowels; squits; travellers' runs; loose motions
Piles: itchy bottom; lumps at the back passage; sore back passage; bleeding when going; blood on the toilet paper; swollen veins at the bottom; pain at the back passage; lumps at the anus
Liver disease: liver damaged by drink; drinker's liver; yellow skin; yellow skin from drink; bad liver; liver packs up; hardened liver; failing liver; damaged liver; swollen belly from liver
Gallstones: stones in the gall bladder; pain after fatty food; gall bladder out; gall bladder removal; bile; gall bladder attack; pain under the right ribs
Stoma: bag on the tummy; bag for stools; artificial exit for the bowel; bag for poo; living with a bag; new opening in the belly; bowel outlet; poo bag; changing the bag
Gluten illness: cannot eat bread; no wheat; ill from bread; gluten; gluten free; cannot eat wheat; bread makes ill; bread and pasta make ill
Hernia: bulge in the belly; lump in the groin; bulging belly; bulge that can be pushed back; gut pokes out; weak belly wall; hernia repair
Kidney conditions: bad kidneys; kidneys do not work; kidneys packing up; kidney trouble; failing kidneys; weak kidneys; kidneys fail; kidney damage; loss of kidney function
Kidney stones: stone in the kidney; passing a stone; grit in the kidney; agonising flank pain; stone stuck; stones in the bladder; breaking up stones
Dialysis patients: patients on the kidney machine; people whose blood is washed; people who need a kidney machine; living on dialysis; people tied to a kidney machine; three times a week to the machine
Urine retention: cannot pee; cannot pee after surgery; cannot wee; bladder will not empty; bladder too full; unable to pass water; bladder scan; water stuck; cannot empty the bladder
Skin conditions: rash; rashes; bad skin; itchy rash; skin trouble; skin complaint; sore skin; red patches; spots on skin; cracked hands; skin disease; hives; red itchy patches; chapped hands; cracked skin; sore hands from washing
Eczema: itchy red skin; scratching children; itchy baby; cracked itchy hands; itchy patches; red skin in the elbows; hand eczema; itchy children; skin that itches at night; inflamed itchy skin; sore itchy hands
Psoriasis: silvery scales; scales on the elbows; red scaly patches; flaking patches; scaly elbows; thick scaly skin
Acne: zits; blackheads; bad skin in teens; face full of spots; spotty teenagers; spotty face; greasy skin; spots on my face
Itching: scratch; itches; scratches all night; itchy all over; urge to scratch; itchy; itchy at night; makes you scratch
Hair loss: going bald; hair falls out; bald; bald patches; hair fell out; losing my hair from chemo; no hair; hair gone after chemotherapy; wig; cold cap; hair comes out; scalp cooling
Dry skin: cracked skin; chapped skin; cracked heels; rough hands; cracked hands; flaking skin; skin like sandpaper; hands chapped from washing; moisturiser for dry legs; dry legs; dry hands; skin cracks
Eye conditions: bad eyes; cannot see well; eye trouble; blurry; double vision; squint; lazy eye; seeing badly; eyesight failing; failing eyesight; sight getting worse; weak eyes; eye problems; things look blurred; floaters; sees badly; night blindness
Cataract: milky eye; cloudy eye; foggy sight; new lens in the eye; cloudy vision in old age; eye operation for clouding; lens gone cloudy; misty sight; lens replacement
Raised eye pressure: pressure in the eye; eye pressure too high; losing side vision; seeing through a tunnel; pressure on the optic nerve; side vision lost; eye pressure drops
Sight loss with age: blind in the middle; cannot read any more; blurred centre of sight; old people going blind; faces blurred; losing sight in old age; blind spot in the centre; injections in the eye; going blind with age
Short sight: cannot see far away; needs glasses for distance; cannot read the blackboard; children with glasses; far things blurred; long sight; squinting at the board; see only close up
Dry eyes: burning eyes; scratchy eyes; no tears; sand in the eyes; itchy dry eyes; tired sore eyes; eyes sting; eyes sore from screens
Diabetic eye damage: blind from diabetes; diabetics lose sight; sugar harms the eyes; eye check for diabetics; eye screening in diabetes; bleeding at the back of the eye; sight loss from sugar
Ear conditions: ear trouble; earwax; wax in the ear; ear wax removal; blocked ears; burst eardrum; ears blocked; perforated drum; deaf from wax
Hearing loss: hard to hear; cannot hear; turning up the television; hears badly; going deaf with age; hears poorly; does not hear well; TV too loud; deaf in one ear; bad hearing; loud noise damages hearing; old people who hear badly; mishears; ears going
Ringing in the ears: whistling in the ear; buzz in the ear; noise in the ear that is not there; humming in the head; ears ring; constant ringing; hissing in the ears; ringing
Mouth and tooth conditions: bad teeth; mouth trouble; teeth and gums; bad breath; smelly breath; oral problems; teeth problems; mouth problems; rotten mouth; tongue sore; halitosis
Tooth decay: holes in teeth; hole in a tooth; fillings; bad teeth in children; rotting teeth; black teeth; sugar and teeth; drilled tooth; fluoride; teeth rotted by sugar
Gum disease: sore bleeding gums; receding gums; gums bleed; blood when brushing teeth; loose teeth; inflamed gums; puffy gums; swollen gums
Mouth sores: sores in the mouth; mouth raw from chemo; ulcers in the mouth; sore mouth from chemotherapy; sore tongue; mouth full of sores; blisters in the mouth; mouth hurts; ice chips against sore mouth; mouth sore from radiotherapy
Tooth loss: false teeth; teeth fall out; tooth taken out; no teeth; tooth pulled; toothless; tooth extraction; lost all his teeth; losing teeth; dental implants; loose dentures; gap in teeth; tooth removed; pulled tooth
Teeth grinding: grinds teeth in sleep; grinds his teeth; jaw clenching; jaw clenched at night; mouth guard at night; worn down teeth; gnashing teeth; bite splint
Allergy: allergic; reacts to pollen; pollen; sneezing in spring; dust mites; streaming eyes in summer; cat hair; swelling after a sting; itchy eyes in spring; allergic to penicillin; allergic people; runny nose in summer; allergic to cats; latex
Food allergy: cannot eat nuts; nuts; allergic to eggs; allergic to milk; shellfish; allergic child at school; ill from eating nuts; milk makes ill; swelling after eating; lactose
Severe allergic shock: throat swells up; throat closes; collapse after a bee sting; collapse from nuts; adrenaline injection; adrenaline pen; collapses after an allergic reaction; deadly allergic reaction; life-threatening allergy
Poisoning: took too many tablets; drank bleach; swallowed tablets; child drank cleaning fluid; toxic; poison; toxins; gas poisoning; carbon monoxide; child ate pills; took poison; mushrooms; swallowed something toxic; lead poisoning; child swallowed; too many pills at once
Accidents and injuries: hurt; injured; mishap; got hurt; wounded people; severe injuries; home accidents; gunshot; stabbing; sprained ankle; falls from height; injured children; being injured; accident victims; crushed; polytrauma; car accident injuries
Road crashes: car accidents; car smash; knocked down by a car; run over; motorbike crash; hit by a car; pile-up; bicycle accident; seat belts; crash victims; victims of car crashes; car crash; cyclists hit by cars; collision
Drowning: fell in the pool; child in a pond; swimming accident; pulled from the water; under water too long; nearly drowned; fell into water; swimming pool fence
Sports injuries: hurt playing football; twisted ankle; hurt at football; running injury; torn knee; injured players; torn ligament; knee injury in football; sprained ankle in sport; skiing accident; hamstring
Eye injuries: something in the eye; chemical in the eye; metal in the eye; black eye; scratched eye; hit in the eye; goggles at work; fireworks; grit in the eye; splinter in the eye
Violence at home: beaten by husband; beaten wives; hits his wife; abusive partner; beaten at home; abusive relationship; wife beating; afraid of her husband; women's shelter; violent partner; violent husband; partner who hits; coercive control
Child abuse: child beaten; beaten child; child neglected; hitting children; bruised child; shaken baby; unsafe at home; child protection; children who are hurt by parents; sexual abuse of children; bullied at school; bullying at school; school bullies; cruelty to children; neglected child
Elder abuse: old people treated badly; carers who hit old people; old person neglected; cruel care home staff; rough handling of residents; stealing from old people; old people hurt by carers; cruelty to the old; ill-treated residents
Heat illness: too hot and collapsed; collapsed in the heat; hot weather illness; collapse in hot weather; too long in the sun; overheated runners; heat collapse; heatstroke; overheated
Low body temperature: freezing cold patient; too cold; cold in theatre; chilled to the bone; patients who get cold during surgery; shivering after surgery; keeping patients warm in theatre; body too cold; cold after an operation; cold newborns
Bleeding: bleed; losing blood; blood loss; blood everywhere; will not stop bleeding; cuts that bleed; bleeding inside; bleed to death; tourniquet; stop bleeding; bruises; bleeding heavily
Bleeding after birth: bleeding heavily after having a baby; loses blood after birth; haemorrhage after delivery; mothers who bleed; bleeding after delivery; too much blood after the baby; blood lost at birth
Nosebleed: blood from nose; nose bleeding; bloody nose; nose will not stop bleeding; bleeds from the nose
Shock: pale, cold and collapsing; pressure crashes; circulation fails; cold and clammy; organs without blood; collapse from blood loss; body shuts down
Weakness after intensive care: weak after a long time on a ventilator; after intensive care; recovering from intensive care; cannot walk after weeks in intensive care; problems after leaving intensive care; trauma after intensive care; weak after being on life support; life after intensive care; aftermath of critical illness
Long-term symptoms after infection: long covid; still ill months after a virus; never recovered after a virus; tired for months after infection; still tired after a virus; ill for months; symptoms that stay after a virus; not getting over a virus; chronic fatigue after infection; after covid
Genetic conditions: runs in the family; born with it; faulty gene; gene defect; passed down in families; rare disease; in the genes; family illness; inherited; DNA test; genetic testing; rare illnesses; inborn
Cystic lung and gut disease: sticky mucus; sticky lungs; thick mucus in the lungs; salty sweat; mucus clogs lungs; children with thick mucus; born with sticky lungs
Sickle cells: bent red blood cells; painful crisis; crescent blood cells; blood cells shaped like a sickle; crisis of pain in sickle; misshapen red cells
Clotting faults: blood does not clot; bleeds too easily; bruises easily; blood that will not clot; missing clotting factor; bleeding disease in boys; bleeders
Extra chromosome conditions: one chromosome too many; child with an extra chromosome; screening in pregnancy for chromosomes; extra chromosome
Birth defects: born with a hole in the heart; hole in heart; cleft palate; born with; club foot; open spine; spina bifida; baby with a heart defect; defect at birth; malformed
Growth problems: small for age; too small; not growing; child does not grow; not putting on weight; baby does not thrive; too short; child too thin; baby not gaining; short children; growth hormone; child below the growth curve; slow to grow
Newborn jaundice: yellow newborn; yellow skin in a baby; baby turns yellow; yellow skin in newborns; baby with yellow eyes; yellow baby
Colic: baby cries all evening; baby screams; baby never stops crying; cries for hours; inconsolable baby; baby with wind; crying baby; fussy baby; baby cries; windy baby; screaming baby
Body and conditions: illnesses; diseases; ailments; being ill; complaints of the body; what people suffer from
`;

import { senseOf } from './lookupWords.js';

/**
 * Words of one meaning, or near enough that who types one may be after what the other names. Groups stand between
 * semicolons; a word may be in several, and endings do not matter. Unlike those of a sense, the words of a group stay
 * apart: another word of it is only a guess.
 */
const GROUPS = `
abroad overseas foreign international; abuse mistreatment cruelty maltreatment; accept agree willing approve;
accident mishap crash collision; ache pain hurt sore painful aching hurting soreness; adapt adjust accustomed;
admit admitted admission hospitalised; advice counselling guidance tips advise;
afraid fear anxious worried scared nervous frightened terrified; agitated restless aggressive;
alarm bell beep buzzer warning; alcohol drink beer wine booze liquor drunk; alone lonely isolated solitary;
anger angry aggressive furious rage; ankle foot leg; annoyed angry irritated; apart separate split isolated;
appetite hunger hungry eat; apple fruit food; argue quarrel conflict; arm limb hand; army soldier military;
arrive arrival come; artery vessel vein; ask question request interview enquire; asleep sleep; athletics sport;
attack assault hit; attend attendance visit; awake waking wakeful wake woken waken; baby infant newborn babies;
bad poor terrible awful; bake cook; banana fruit food; bandage dressing plaster; bath wash shower bathing;
bathtub bath; beat hit beating; beauty appearance looks; belief faith attitude opinion;
belly stomach tummy abdomen abdominal; bend bent flexible; big large great huge;
birth delivery labour childbirth born deliver; birthday age; biscuit snack food; bladder urine urinary;
blanket warm bed; bleed blood bleeding haemorrhage; blind sight vision; blister burn;
block blocked obstruct clogged; blurred blurry cloudy misty; boat ship sea; body physical;
bone skeleton fracture; boss manager leader supervisor head; bother disturb; bottom anus back;
bowel gut intestine stool; box container; boy son lad child; brain head mind; brave courage; bread food;
break broken fracture snap crack; break pause rest; breakup divorce; breast chest;
breath breathing respiration breathless air respiratory; bright light brightness; brush clean cleaning;
burn scald burnt; busy workload hectic rushed; butter fat food; buy purchase; buzz ring; cake food snack;
call phone telephone ring; calm relax soothe quiet relaxation calming;
cancer tumour tumor malignant growth carcinoma; candle light; candy sweet sugar; canteen kitchen meal;
car vehicle drive driving; care nursing look; carer caregiver; carrot vegetable food; carry lift;
celebrate holiday; change swap switch alter rotate shift; cheap cost expensive price;
check test inspect examine monitor; cheek face; cheese food; chest lung heart; chew eat; chief head leader;
chin face; chocolate sweet snack; choice decision option choose decide; choke swallow choking; chore household;
church religion; cigarette smoke smoking tobacco; cinema film; city urban town;
clean hygiene wash wipe disinfect; clever intelligent; clinic outpatient; clock time; close shut closed;
clot thrombosis; clothes dressing dress; clumsy dexterity; coach bus driver; coffee caffeine tea;
cold chilled cool freezing; collapse faint fall; colleague coworker; college student university;
comfort soothe relief; commute travel journey; company friend companion; complain complaint grievance;
computer electronic digital online internet; confident confidence sure;
confused muddled disoriented confusion delirious; conscience moral guilt; consent permission agree;
continue continuity; control manage; cook kitchen cooking; copy imitate simulate imitation; corpse death;
corridor hallway; cost price money expense pay expensive; cough coughing; country rural countryside village;
course class lesson training; cradle cot baby; cream ointment lotion; crew team;
crime criminal offender prison; criminal offender prisoner; cry crying tears weep; cure heal treat;
curtain blind shade; cut incision wound; damp wet moist; danger risk unsafe; dark darkness dim;
day daily daytime; deaf hearing; death die dead dying died mortality; decay rot; delay late wait;
depressed sad low depression unhappy; diary record; difficult trouble hard; diner restaurant;
dinner meal supper; dirty unclean contaminated; disabled disability handicap;
disease illness condition sickness; distract distraction; disturb interrupt disrupt interruption;
divorce separate; dizzy giddy faint lightheaded; doctor clinician practitioner; doubt hesitant unsure;
dream nightmare; drip infusion intravenous; drive drivers driver driving wheel; drop fall decline;
drowsy sleepy; dry dryness parched; dust air; early premature; earn pay wage; eat food eating meal feed;
education teaching training teach; effort work; elbow arm; embarrassed shame ashamed; emergency urgent acute;
emotion feeling mood; employ hire recruit; empty vacant; encourage motivate persuade; end finish stop;
engine vehicle; enjoy satisfaction pleasure; enough sufficient; estate housing; evening night; exam test;
exercise training fitness workout gym sport; exhausted drained tired worn;
explain tell teach inform explanation; eye sight vision; face facial; factory industrial industry;
fail failure; faint fainting collapse; fair equal; faith religion; fall tumble slip trip;
family relatives household; farm agricultural rural; fast quick speed rapid; fat weight obese overweight;
father dad; feed feeding eat; feel feeling; fell fall fallen; fever temperature; few lack;
film movie television screen; finger hand; fire burn; fit fitness; fit seizure; flat apartment housing;
fluid water liquid; food meal diet nutrition eating; foot feet toe; forbid ban;
forget forgetful memory forgotten; friend peer; frozen stiff; fruit diet food; full crowded; fun play;
funeral death grief; funny humour; game play; gap shortage; garbage waste; gene genetic inherited hereditary;
germ bacteria infection virus; girl daughter child; glasses spectacles goggles lenses; gloves protective;
gossip talk; government policy; grain food; gran older; grandad grandfather older;
grandmother grandfather older; grandson family; granny grandmother older; grief sorrow mourning;
grip grasp hold; grow growth; gum tooth; gun weapon shooting; habit behaviour; hair scalp head; haircut hair;
happy satisfied satisfaction mood; harm injury damage hurt; heal healing recover; hear hearing listen;
heart cardiac; heat hot warm; heavy weight; heel foot; help support assist aid; herb plant; high raised;
hit strike violence beat; hoarse voice; holiday break; horrible terrible; hospital ward inpatient; hour time;
house home housing; hug cuddle; humiliate bully; hurry rush; hurt injury pain; husband spouse partner family;
hymn song religion; ice cold; ill sick illness unwell; improve better improvement; income poverty pay;
infect infection infectious contagious catch; infirm frail weak; inform information;
inject injection needle jab; injure injury hurt wounded; inmate prisoner; insect bite; instruct teach;
insult abuse; internet online web; itch itchy itching scratch; jab vaccine injection vaccination; jail prison;
jaw tooth mouth; job work employment occupation; joke humour; keyboard computer; kid child; kidney renal;
kill death; kind empathy compassion; kind type; know knowledge; lady woman; lamp light lighting bulb;
laugh humour laughter; law policy; lawyer legal; lazy sedentary; leaflet booklet information;
leak leaking incontinence; learn learning training; lens glasses; lie lying; lift lifting; limb arm leg;
limp walk; lip mouth; loneliness alone isolation; loss lose lost losing; loud noise noisy;
lump swelling growth tumour; lunch meal; lung chest breathing; machine device equipment; mad psychosis;
magazine read; male men; manage cope; marriage couple spouse; married spouse couple; mate friend partner;
mattress bed; mayor policy; measure measurement; meat food; medicine tablet pill; meet meeting;
memory remember forget; message text reminder; mind mental; miss missing; mistake error; mix confuse;
money cost financial cash; monitor observe; mosque religion; mother mum mom maternal; mouth oral;
move mobility movement moving mobilise; murder violence death; nap doze snooze; nasty hostile;
nausea sick vomiting queasy; new newly; newspaper read; night overnight nocturnal nightly; nipple breast;
noise sound loud; nose nasal; note record; numb numbness; nun religion; nursery child infant; observe watch;
old aged; operate surgery theatre; opinion attitude view; orgasm sexual; orphan child; outside outdoor;
overweight obesity heavy fat; pack package; pajamas bed; paralysed paralysis; pay wage salary; peanut nut;
pee urine urinate; penis erection; pet animal dog cat; petrol fuel; phone telephone call mobile; picnic food;
picture image; pilgrim religion; pillow bed; pimple spot; pipe tube; pizza food; plan planning; plane flight;
plumber builder; poet poem; poison toxic; policeman police; poo stool bowel; poor poverty deprived;
porridge breakfast; pray prayer religion; pregnant pregnancy expectant; prescribe prescription;
prevent prevention avoid; prick needle; priest chaplain; problem trouble; protect protection; pub alcohol;
pulse heartbeat; punch hit; pupil student school; pyjamas bed; quiet noise silent; quit stop leave;
radio sound; rail train; rash skin spots; rays radiation; reach access; read reading; recover recovery heal;
recruit recruitment; reduce lower; refuse refusal decline; relative family; remind reminder; remote distance;
rent housing; reply answer; residents home; respect dignity; rest sleep; restaurant meal; retire retirement;
reward incentive; road traffic; rota roster; routine habit; rub massage; rude incivility; safe safety;
salad vegetable food; saliva spit; sandwich food; scan imaging; score scale rating; secret privacy; see sight;
semen sperm; separate isolate; serious severe; sex sexual; shake tremor; shin leg; shiver cold; shoe foot;
sick ill nausea; silence quiet; sing song music; sit sitting seat; skip miss; slim thin; small little tiny;
smell odour scent; snack eat; sneeze cold; sore ulcer wound; soup food meal; speak speech talk; spine back;
sport athlete; spots acne rash; spouse partner husband wife; start begin; starve hunger; sting bite;
stitch suture; stop quit cease; street road; strength strong; stress strain; stroll walk; student learner;
sugar glucose; sunglasses glasses; sunrise dawn; surgeon operation; survive survivor; sweets sugar;
swell swollen swelling; talk conversation speak discuss; teen teenager adolescent; telly television screen;
thin underweight; think thought; thirst thirsty; thrive resilient resilience flourish; thumb hand;
timetable schedule; tongue mouth; tooth teeth dental; torn tear; toy play; train training; tram traffic;
translate interpreter; trauma injury; treat treatment therapy; tremble tremor; tube catheter; tuition teach;
turn turning reposition; tv television screen; uniform clothing; unpaid volunteer; unsteady balance;
vacation holiday; vaccinate vaccine; vegetable diet food; veteran soldier; violent violence aggressive;
violin music; visit visitor; voice speech; vomit sick; wait waiting queue; walk walking; war soldier;
wash bathing washing; weak weakness frail; weakness strength; wedding marriage; whisky alcohol; woman female;
womb uterus; worry anxiety; write writing; wrong error; yell shout scream; yellow jaundice
`;

const RELATED = new Map<string, Set<string>>();
for (const group of GROUPS.split(';')) {
  const senses = group.trim().split(/\s+/).map(senseOf);
  for (const sense of senses) {
    const others = RELATED.get(sense) ?? new Set();
    for (const other of senses) if (other !== sense) others.add(other);
    RELATED.set(sense, others);
  }
}

/** The senses that a word of some sense may be meant for as well. */
export function relatedTo(sense: string): Iterable<string> {
  return RELATED.get(sense) ?? [];
}

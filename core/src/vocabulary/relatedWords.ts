import { senseOf } from './lookupWords.js';

/**
 * Words of one meaning, or near enough that who types one may be after what the other names. Each line is a group; a
 * word may be in several. Endings do not matter. Other than senses, the words of a group stay apart: another word of
 * it is only a guess.
 */
const GROUPS = `
abroad overseas foreign international
abuse mistreatment cruelty maltreatment
accept agree willing approve
accident mishap crash collision
ache pain hurt sore painful aching hurting soreness
admit admitted admission hospitalised
adapt adjust accustomed
advice counselling guidance tips advise
afraid fear anxious worried scared nervous frightened terrified
agitated restless aggressive
alarm bell beep buzzer warning
alcohol drink beer wine booze liquor drunk
alone lonely isolated solitary
anger angry aggressive furious rage
ankle foot leg
annoyed angry irritated
apart separate split isolated
appetite hunger hungry eat
arm limb hand
arrive arrival come
artery vessel vein
ask question request interview enquire
asleep sleep
attack assault hit
attend attendance visit
awake waking wakeful wake woken waken
baby infant newborn babies
bad poor terrible awful
bandage dressing plaster
bath wash shower bathing
beat hit beating
belly stomach tummy abdomen abdominal
belief faith attitude opinion
bend bent flexible
big large great huge
birth delivery labour childbirth born deliver
bladder urine urinary
bleed blood bleeding haemorrhage
blind sight vision
blister burn
block blocked obstruct clogged
blood bleeding
blurred blurry cloudy misty
body physical
bone skeleton fracture
boss manager leader supervisor head
bother disturb
bottom anus back
bowel gut intestine stool
box container
boy son lad child
brain head mind
brave courage
break broken fracture snap crack
break pause rest
breast chest
breath breathing respiration breathless air respiratory
bright light brightness
brush clean cleaning
burn scald burnt
busy workload hectic rushed
buy purchase
buzz ring
call phone telephone ring
calm relax soothe quiet relaxation calming
cancer tumour tumor malignant growth carcinoma
car vehicle drive driving
care nursing look
carer caregiver
carry lift
change swap switch alter rotate shift
cheap cost expensive price
check test inspect examine monitor
chest lung heart
chew eat
chief head leader
choice decision option choose decide
choke swallow choking
church religion
cigarette smoke smoking tobacco
city urban town
clean hygiene wash wipe disinfect
clever intelligent
clinic outpatient
close shut closed
clothes dressing dress
clot thrombosis
clumsy dexterity
coffee caffeine tea
cold chilled cool freezing
collapse faint fall
colleague coworker
come arrive
comfort soothe relief
commute travel journey
company friend companion
complain complaint grievance
computer electronic digital online internet
confident confidence sure
confused muddled disoriented confusion delirious
consent permission agree
continue continuity
control manage
cook kitchen cooking
copy imitate simulate imitation
corridor hallway
cost price money expense pay expensive
cough coughing
country rural countryside village
course class lesson training
cream ointment lotion
crew team
cry crying tears weep
cure heal treat
curtain blind shade
cut incision wound
damage injury harm
damp wet moist
danger risk unsafe
dark darkness dim
day daily daytime
deaf hearing
death die dead dying died mortality
decay rot
delay late wait
deliver birth
depressed sad low depression unhappy
diet food eating nutrition
difficult trouble hard
dinner meal supper
dirty unclean contaminated
disabled disability handicap
disease illness condition sickness
distract distraction
disturb interrupt disrupt interruption
dizzy giddy faint lightheaded
doctor clinician practitioner
doubt hesitant unsure
dream nightmare
drip infusion intravenous
drive drivers driver driving wheel
drop fall decline
drowsy sleepy
drunk alcohol
dry dryness parched
dust air
early premature
earn pay wage
eat food eating meal feed
education teaching training teach
effort work
elbow arm
embarrassed shame ashamed
emergency urgent acute
emotion feeling mood
employ hire recruit
empty vacant
encourage motivate persuade
end finish stop
enjoy satisfaction pleasure
enough sufficient
equipment device
evening night
exam test
exercise training fitness workout gym sport
exhausted drained tired worn
explain tell teach inform explanation
eye sight vision
face facial
fail failure
fair equal
faint fainting collapse
faith religion
fall tumble slip trip
family relatives household
farm agricultural rural
fast quick speed rapid
fat weight obese overweight
father dad
feed feeding eat
feel feeling
fell fall fallen
fever temperature
few lack
finger hand
fire burn
fit seizure
fit fitness
fluid water liquid
food meal diet nutrition eating
foot feet toe
forbid ban
forget forgetful memory forgotten
freezing cold
friend peer
frozen stiff
full crowded
fun play
funny humour
game play
gap shortage
gene genetic inherited hereditary
germ bacteria infection virus
giddy dizzy
girl daughter child
glasses spectacles goggles lenses
gloves protective
goggles glasses
government policy
grandmother grandfather older
gran older
grief sorrow mourning
grip grasp hold
grow growth
gum tooth
habit behaviour
hair scalp head
happy satisfied satisfaction mood
harm injury damage hurt
head brain
heal healing recover
hear hearing listen
heart cardiac
heat hot warm
heavy weight
heel foot
help support assist aid
herb plant
high raised
hit strike violence beat
hoarse voice
holiday break
home house
horrible terrible
hospital ward inpatient
hot heat warm
hour time
house home housing
hug cuddle
humiliate bully
hungry hunger
hurry rush
hurt injury pain
husband spouse partner family
ice cold
ill sick illness unwell
improve better improvement
income poverty pay
infect infection infectious contagious catch
inform information
inject injection needle jab
injure injury hurt wounded
inmate prisoner
insect bite
instruct teach
insult abuse
interrupt interruption disturb
itch itchy itching scratch
jab vaccine injection vaccination
jail prison
jaw tooth mouth
job work employment occupation
joke humour
journey travel
kid child
kidney renal
kill death
kind type
kind empathy compassion
know knowledge
lady woman
lamp light lighting bulb
late delay
laugh humour laughter
law policy
lazy sedentary
leader boss
leaflet booklet information
leak leaking incontinence
learn learning training
leave quit
lens glasses
lie lying
lift lifting
light lamp
limb arm leg
limp walk
lip mouth
listen hear
loneliness alone isolation
loss lose lost losing
loud noise noisy
lump swelling growth tumour
lunch meal
lung chest breathing
machine device equipment
mad psychosis
male men
manage cope
mattress bed
meal food eating
measure measurement
meat food
medicine tablet pill
meet meeting
memory remember forget
message text reminder
mind mental
miss missing
mistake error
mix confuse
mobile phone
money cost financial cash
monitor observe
mother mum mom maternal
mouth oral
move mobility movement moving mobilise
muddled confused
mum mother
music song
nap doze snooze
nasty hostile
nausea sick vomiting queasy
needle injection
nervous anxious
new newly
night overnight nocturnal nightly
nipple breast
noise sound loud
nose nasal
note record
numb numbness
obese fat
observe watch
odour smell
ointment cream
old aged
operate surgery theatre
opinion attitude view
outside outdoor
overweight obesity heavy fat
pack package
paralysed paralysis
partner spouse family
pause break
pay wage salary
pee urine urinate
permission consent
pet animal dog cat
phone telephone call mobile
picture image
pill tablet
pillow bed
pimple spot
pipe tube
plan planning
plane flight
poison toxic
poo stool bowel
poor poverty deprived
pray prayer religion
pregnant pregnancy expectant
prescribe prescription
prevent prevention avoid
price cost
prick needle
priest chaplain
prison jail
problem trouble
protect protection
pulse heartbeat
punch hit
pupil student school
question ask
queue wait
quick fast
quiet noise silent
quit stop leave
rash skin spots
rays radiation
reach access
read reading
record note
recover recovery heal
recruit recruitment
reduce lower
refuse refusal decline
relative family
relax calm
religion faith
remember memory
remind reminder
remote distance
rent housing
reply answer
residents home
respect dignity
rest sleep
retire retirement
reward incentive
ring call
risk danger
road traffic
rota roster
routine habit
rub massage
rude incivility
rush hurry
sad depressed unhappy
safe safety
salary pay
saliva spit
scald burn
scan imaging
scared fear
school pupil
score scale rating
scratch itch
seat sit
secret privacy
see sight
seizure fit
separate isolate
serious severe
sex sexual
shake tremor
shame embarrassed
shin leg
ship sea
shiver cold
shoe foot
shout scream
shower wash
sick ill nausea
sight vision
silent quiet
sing song music
sit sitting seat
skip miss
sleepy drowsy
slip fall
small little tiny
smell odour scent
smoke smoking tobacco
snack eat
sneeze cold
soldier army military
son child
song music
soothe calm
sore ulcer wound
sorrow grief
sound noise
speak speech talk
spectacles glasses
spine back
spit saliva
sport athlete
spots acne rash
spouse partner husband wife
start begin
starve hunger
sting bite
stitch suture
stomach tummy
stool bowel
stop quit cease
street road
strength strong
stress strain
strong strength
student learner
sugar glucose
sunglasses glasses
sunrise dawn
support help
surgeon operation
survive survivor
swell swollen swelling
talk conversation speak discuss
teach education training
teen teenager adolescent
thin underweight
think thought
thirst thirsty
thumb hand
timetable schedule
tiny small
toe foot
tongue mouth
tooth teeth dental
torn tear
town urban
toy play
train training
translate interpreter
trauma injury
travel journey
treat treatment therapy
tremble tremor
trip fall
tube catheter
tumour cancer
turn turning reposition
ulcer sore
university student
unpaid volunteer
unsteady balance
urgent emergency
urine pee
vaccinate vaccine
veteran soldier
village rural
violent violence aggressive
visit visitor
voice speech
volunteer unpaid
vomit sick
wage pay
wait waiting queue
wake waking
walk walking
war soldier
ward hospital
warm heat
wash bathing washing
weak weakness frail
weakness strength
weep cry
wife spouse
wipe clean
woman female
womb uterus
work job
worn tired
worry anxiety
wound sore
write writing
wrong error
yellow jaundice
`;

const RELATED = new Map<string, Set<string>>();
for (const group of GROUPS.trim().split('\n')) {
  const senses = group.split(' ').map(senseOf);
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

/** How people speak of people: by age, by work, by what they are to a patient. */
export const PEOPLE = `
Age groups: how old people are; generations; different ages; age brackets; by decade of life; stage of life; young and old compared
Newborn babies: just born; first days of life; day-old baby; few weeks old; tiny babies; cot babies; baby on the neonatal ward; special care baby; babies at birth; birth weight
Preterm babies: born too soon; born weeks before the due date; came early; baby in an incubator; very small babies; arrived early; born at thirty weeks; weighs less than usual at birth; waters broke too soon; early contractions
Children: boys; girls; primary school age; little ones; youngsters; pupils under twelve; a child in hospital; my son; my daughter; nursery children; infants school; ten-year-olds; pre-school children; toddlers and school children
Teenagers: teens; school leavers; secondary school age; fifteen-year-olds; puberty; youth; growing up; young lads and girls; high school; sixth form
Adults: people over eighteen; grown men; grown women; middle of life; adult patients; people in their thirties; people in their forties
Older adults: pensioners; people in their seventies; ageing people; aging; elders; senior citizens; later life; grandmother; grandfather; retired people; living on a pension; advanced age; getting old; gran; grandad
Very old adults: centenarians; nonagenarians; ninety-year-olds; people in their eighties; extremely old people; a hundred years old; eighty-five and above
Unborn babies: baby before birth; growing in the womb; baby's heartbeat in pregnancy; scan of the baby; the bump; baby inside the mother; kicks in the womb
Infants: babies in the first year; six-month-old; bottle-fed babies; crawling babies; little baby; one-year-olds; cot; babies learning to walk; weaning babies onto solid food
Young adults: students and young workers; people in their early twenties; leaving home; eighteen to thirty; school leavers grown up; young men and women
Middle-aged adults: people in their forties; people between forty and sixty; mid-life; halfway through life; fifty-year-olds
Health workers: people who work in health care; people who look after patients; clinicians of all kinds; health service employees; hospital and clinic workers; front-line staff; key workers in care; care professionals; nurses and doctors
Hospital staff: everyone who works in a hospital; people on the hospital payroll; hospital teams; staff of the wards; those who work on the ward
Hospital nurses: nurses on the ward; nurses on a medical ward; nurse at the bedside; bedside nurses; nurses in a hospital; nurses looking after inpatients
Hospital doctors: doctors on the ward; doctors on call; doctor on the round; medics in hospital; specialists in a hospital; doctors working nights
Ward support workers: people who push beds; trolley pushers; tea ladies; ward clerks; ward hosts; people who fetch and carry on the ward; moving patients around the hospital
Nurses: sisters; nursing profession; people who nurse; matrons; nursing team; nursing work; those who nurse patients; qualified nursing staff; trained nurses
Intensive care nurses: nurses of critically ill people; nurses on the intensive care unit; nurses of ventilated patients; nurses at the bedside in critical care
Community nurses: nurse who calls at the house; nurses who visit people at home; nurse comes to the house; nurses on home visits; nurses driving from house to house; health visitors; dressing changed at home by a nurse
Nurse practitioners: nurses who prescribe; nurses doing doctors' work; nurse-led clinic; nurses with extra training; specialist nurses; nurses who diagnose; nurse consultant; nurses in place of doctors
Midwives: women who deliver babies; person who delivers the baby; help at births; someone to help with the birth; midwife-led; midwives on call; doula
Doctors: medics; consultants; practitioners of medicine; my doctor; specialist; medical profession; doc; those who practise medicine
General practitioners: local doctor; doctor in the village; my own doctor; doctor at the surgery; practice doctors; doctor round the corner; the family's doctor; neighbourhood doctor; doctor's surgery
Trainee doctors: young doctors; doctors still learning; newly qualified doctors; doctors just out of medical school; first-year doctors; foundation doctors; specialty training
Surgeons: those who operate; doctors who operate; who does the operation; person holding the scalpel; operating team; surgeon fatigue; orthopaedic surgeon
Anaesthetists: the one who puts you to sleep; doctor who puts patients under; gas doctor; doctors who put people to sleep for operations; person who gives the anaesthetic
Pharmacists: chemist; people behind the counter at the chemist; who gives out medicines; person who checks prescriptions; dispensing staff; medicine experts on the ward
Physiotherapists: people who help you move again; someone to get me walking; exercise specialist; person who treats stiff joints; muscle and joint therapist; physical rehabilitation staff
Occupational therapists: people who help with everyday tasks; therapist who adapts the home; help to cook and dress again; home adaptations; therapist for daily skills
Dietitians: food experts; diet advice from a professional; who plans what patients eat; nutrition experts; person who tells you what to eat
Emergency workers: blue light services; people who come when you call for help; those first on the scene; first on scene; rescue teams; emergency services; crews who answer emergencies
Paramedics: people in the ambulance; crew of the ambulance; ambulance people; ambulance drivers; medics on the road; staff who arrive by ambulance; ambulance workers
Volunteer responders: unpaid ambulance people; neighbours who answer emergencies; local people who come before the ambulance; villagers who respond to emergency calls; volunteers with a pager; volunteers who drive the ambulance; lay responders
Care assistants: people who wash and dress residents; unqualified care staff; nursing home carers; carers paid to help; helpers of nurses; paid carers; untrained nursing staff; bank carers; support workers; personal care staff
Employees: those with a job; people at work; workforce; people who earn wages; staff of a company; people with a job; employed adults; the working population; labour force
Shift workers: people who work odd hours; people who work round the clock; those who work nights; staff on nights; people on the night shift; workers on rotas; employees with changing hours; people who work evenings and nights
Drivers: people who drive for a living; long-distance drivers; van drivers; taxi drivers; coach drivers; hauliers; train drivers; delivery drivers; people behind the wheel
Industrial workers: people in factories; assembly line; people in a mill; workers on the line; warehouse workers; steel workers; machine operators; blue-collar workers
Office workers: people at a desk all day; people at computers; office jobs; secretaries; civil servants; people in offices; computer workers
Police officers: cops; constables; police on patrol; people in the police force; detectives; police nights
Teachers: people who teach; school staff; lecturers; nursery teachers; head teachers; those who teach children
Students: people at university; college; undergraduates; young people studying; those who study; exam takers; school pupils
Nursing students: learning to be a nurse; nurses in training; learners on the ward; students on clinical placement; trainee nurses; nursing course; placement; would-be nurses
Medical students: learning to be a doctor; future doctors; doctors to be; medical school; training as a doctor
Volunteers: people who help for nothing; unpaid people; helping without pay; people who give their time; charity helpers; those who work for free; good neighbours
Family carers: looking after mum; looking after a parent; looking after my husband; looking after my wife; looking after someone with dementia at home; daughters who look after parents; unpaid care by family; wives caring for husbands; loved one looked after at home; partners who care; spouse carers; people who look after somebody ill
Carers under strain: carer at the end of her tether; worn out carers; carers who cannot cope; stress of caring; burnt out carers; carers who break down; too much for the family; tired from looking after someone; weight of caring; carers who get ill themselves; carers need a rest
Patients: people who are ill; the sick; ill people; those treated; users of care; people under treatment; clients; people who need care
Inpatients: people staying in hospital; people lying in hospital; admitted patients; patients on the ward; staying overnight; hospital bed; people kept in
Outpatients: people who come to the clinic; people who come and go home; not staying overnight; clinic attenders; day visitors to hospital
Surgical patients: people who had an operation; people about to have an operation; patients after surgery; patients in theatre; people waiting for surgery; people who went under the knife
Critically ill patients: patients fighting for life; people on a ventilator; patients on life support; very sick patients; sickest patients; people in intensive care; life-threatening illness
Long-term patients: people ill for years; people who are never cured; people with lasting illness; long-term conditions; lifelong illness; people living with illness for years; chronic disease; chronic illness
Dying patients: people who are dying; last weeks of life; people with little time left; nearing death; people who will die soon; months to live; the dying; terminal illness; on the deathbed
Transplant patients: people who received an organ; new kidney; new heart; new liver; living with someone else's organ; people after a transplant
Patients in isolation: patients kept apart; alone in a side room; shut away because of infection; people in quarantine; patients kept alone; kept away from others; infectious patients in a single room
Pregnant women: expecting; mums-to-be; women carrying a baby; woman expecting twins; while expecting; mothers to be; women in their third trimester; early pregnancy; having a baby soon; women expecting a baby
New mothers: mums with a new baby; women after giving birth; after the birth; mothers in the first year; mother home with a baby; recently gave birth; women who had a baby; weeks after delivery; postnatal period; just had a baby
Rural residents: people in villages; people living far from town; people on farms; far from a hospital; living in the countryside; islanders; out in the country; remote villages; small towns; people in the outback; people on remote islands
City residents: people in big cities; city life; inner city; people living in towns; living in a city; people in tower blocks; urban neighbourhoods
Families: relatives of patients; loved ones; people at home; households; kin; husbands and wives; family at the bedside; sons and daughters; grandchildren; wives; husbands; spouses
Parents: mum and dad; mothers; mums; single parents; bringing up children; raising children; parents of sick children; parents at the bedside
Fathers: dad; daddy; men who become fathers; fathers at the birth; stay-at-home dads; male parents; husband at the birth; partners of new mothers
Brothers and sisters: brother; sister; other children in the family; sisters of sick children; growing up with an ill brother
Bereaved people: husband has died; wife has died; people who lost someone; those left behind; lost a child; death of a partner; death of a spouse; losing a husband or wife; after the death of a loved one; families after a death; living on alone
People with disabilities: disabled adults; disabled children; people who use a wheelchair; physical disability; cannot walk; handicap; special needs; impairment; limbs that do not work
Deaf people: people who cannot hear; signing people; sign language users; people who lip-read; deaf children; those without hearing
Blind people: people who cannot see; people who see badly; white stick; guide dog users; blind children; partially sighted people; people without sight
People with learning disabilities: special school; people who need help to understand
Homeless people: people sleeping rough; people living on the street; people with nowhere to live; people in shelters; hostel dwellers; people in tents; no fixed address; lost their home
Refugees: people who fled; people who fled war; fleeing war; people in camps; newcomers who fled their country; people seeking asylum; uprooted people; people driven from home
Prisoners: people behind bars; jailed people; inmates; men in jail; women in prison; locked up; people in custody; offenders
Athletes: runners; footballers; people who do sport; marathon runners; swimmers; rowers; gymnasts; elite sport; people who train hard; sports players; cyclists
Dentists: doctor for teeth; person who drills teeth; who looks at my teeth; dental practice; dental surgery staff
Dental hygienists: people who clean teeth; scale and polish; helper of the dentist; tooth cleaning by a professional; dental chair assistants
Psychologists: someone to talk to about my mind; therapists; experts in behaviour; those who give talking therapy; psychotherapists; counsellors
Social workers: person who sorts out benefits; help with housing and benefits; child protection staff; someone from social services; welfare officers; care managers
Speech therapists: help with talking; help to speak again; therapist for swallowing; people who treat stammers; person who teaches you to speak again; voice therapists
Radiographers: people who take X-rays; people who do scans; person who takes the pictures; scanner staff; mammogram takers
Laboratory staff: people who test blood; lab people; those who look down microscopes; people who work in the lab; who analyses samples
Optometrists: people who test eyes; eye test; high street eye test; who prescribes glasses; glasses shop; eyesight testers
Podiatrists: people who look after feet; foot doctors; who cuts toenails; nail cutters; foot clinic staff
Community health workers: lay people who visit homes for health; local people trained in health; villagers trained to give health care; barefoot doctors; local health helpers; health aides in the village; community volunteers for health
Health managers: people who run hospitals; bosses in health care; management; directors; chief executives; the people in charge of the hospital; those who run the service
Chaplains: priests; vicars; imams; religious support in hospital; man of God; hospital priest; rabbis; someone to pray with; clergy; ministers of religion
Interpreters: people who translate; someone who speaks my language; translators; translator at the doctor's; somebody to put it into another language; translating for patients; children who translate for parents
Children's nurses: nurses on the children's ward; nurse of sick children; nurses of babies and children; neonatal nurses
Mental health nurses: nurses in mental hospitals; nurses on locked wards; nurses of people with mental illness; psychiatric ward nurses; nurses on a mental health ward
Theatre nurses: nurses at operations; nurse who hands instruments; nurses in the operating theatre; nurses in the operating room; nurses who assist the surgeon
Emergency nurses: nurses in casualty; nurses in the emergency room; nurses in the emergency department; nurses who see the injured first
School nurses: nurse at school; nurse who comes to the school; nurse for pupils; nurse in a school; school matron
Newly qualified nurses: young nurses; nurses fresh from school; first job as a nurse; nurses in their first year; just became a nurse; newly registered nurses; beginners in nursing; starting out as a nurse; from student to nurse; recently qualified nurses; new nurses
Charge nurses: nurse in charge; boss of the ward; ward manager nurse; senior nurses; nurse who runs the ward; nurses who lead a shift; matron
Psychiatrists: doctor for mental illness
Radiologists: doctor who reads X-rays; doctor who looks at scans; who reads the scan; doctors who read mammograms
Paediatricians: doctor for children; baby doctor; doctors who treat children; child specialist
Obstetricians: doctor at the birth; doctor for pregnant women; women's doctors; doctors who deliver babies
Emergency doctors: doctors in casualty; doctors in the emergency room; doctors in the emergency department; doctors who treat the injured
Firefighters: people who put out fires; firemen and women; fire and rescue; fire engine crews; people who fight fires; smoke divers
Ambulance dispatchers: people who answer 999; answering the emergency line; who sends the ambulance; people at the emergency number; voice on the emergency line; people who answer emergency phones; ambulance control room; sending out ambulances; taking emergency calls; 112 operators; 911 operators
Rescue pilots: people who fly the air ambulance; helicopter pilots; rescue helicopter crew; helicopter medics; flying doctors; pilots who fetch patients
Farmers: people who farm; people on the land; harvest workers; growers of crops; people who milk cows; dairy farmers; people who work in the fields; field workers
Miners: coal workers; people who work underground; coal miners; people in mines; quarry workers; gold diggers; pitmen
Seafarers: people at sea; fishermen; crew of a ship; oil rig workers; people on ships; trawler crew; ferry crew
Airline crews: people who fly planes; air hostesses; stewardesses; stewards; cabin staff; airline pilots; long-haul crew; people who work on planes
Construction workers: building site; bricklayers; roofers; people who build houses; road workers; site workers; carpenters
Cleaners: people who clean; people who mop floors; cleaning ladies; who cleans the ward; hospital cleaners; those who clean at night; domestic workers
Cooks and kitchen staff: people who cook; restaurant staff; waiters; bakers; kitchen porters; people who prepare meals; dishwashers
Call centre workers: people on the phone all day; people who answer phones; telephone workers; headset workers; hotline staff
Security guards: people who guard buildings; night guards; bouncers; watchmen; people who patrol at night; door staff
Prison officers: people who guard prisoners; warders; jailers; those who work in prisons; staff in jail
Soldiers: people in the army; troops; veterans; navy; air force; fighters; people who serve in war; ex-servicemen; military veterans; combat; recruits
Home workers: people who work at home; home office; working at the kitchen table; telecommuting; working remotely; not going to the office
Migrant workers: staff from abroad; nurses from other countries; overseas nurses; foreign staff; foreign nurses; workers from overseas; people who come here to work; internationally trained nurses; people who moved country to work; seasonal fruit pickers; staff recruited abroad
Older workers: workers over fifty; older staff; staff near retirement; older nurses; ageing staff; staff who are getting old; people still working at sixty
Apprentices: learning a trade; young people in training; on-the-job learners; trainee workers; first job; youngsters at work
People and occupations: who people are; jobs and ages; groups of people
`;

/** What clinicians and researchers call things: medical names, procedures, medicines, abbreviations, names of trades. */
export const CLINICAL_NAMES = `
Age groups: demographics; age cohort; elderly versus young
Newborn babies: neonate; neonatology; term infants; low birth weight infants; NICU; SCBU; perinatal period; postnatal babies
Preterm babies: prematurity; very low birth weight; VLBW; ELBW; extremely preterm; tocolysis; gestational age; PPROM; premature rupture of membranes; necrotising enterocolitis; retinopathy of prematurity
Children: paediatrics; school-age; preschoolers; child health; minors; paediatric inpatients; children under five
Teenagers: adolescent health; adolescent medicine; juveniles; pubertal; teenage years; AYA
Adults: adulthood; working age population; aged 18 and over
Older adults: geriatrics; gerontology; ageing population; the over-65s; older persons; geriatric medicine; septuagenarians; community-dwelling elders; comprehensive geriatric assessment
Very old adults: over-80s; octogenarians; the oldest; over-85s
Unborn babies: foetal; antenatal ultrasound of the fetus; foetal movements; fetal monitoring; CTG; cardiotocography; amniocentesis; in utero
Infants: infancy; under-twos; under one year; babyhood; suckling; weaning infants; SIDS; cot death; sudden infant death
Young adults: early twenties; emerging adulthood; college-age
Middle-aged adults: forty-somethings; 40 to 60 years
Health workers: HCW; healthcare providers; clinicians; multidisciplinary staff; allied health professionals; AHP; frontline workers; health personnel; health workforce; practitioners
Hospital staff: ward personnel; acute hospital workforce; multidisciplinary ward team; hospital employees; inpatient staff
Hospital nurses: acute care nurses; ward-based nurses; medical-surgical nurses; inpatient nurses; RN in hospital
Hospital doctors: hospitalists; ward physicians; house staff; consultants; specialist registrars; internal medicine physicians; cardiologist; neurologist; geriatrician; oncologist; intensivist
Ward support workers: porter; housekeeper; ancillary staff; orderly; healthcare support staff; hospital auxiliaries
Nurses: registered nurse; staff nurse; enrolled nurse; licensed practical nurse; LPN; nursing workforce; agency nurses; bank nurses; oncology nurses; district nursing staff; nursing professionals
Intensive care nurses: critical care nursing; ICU nursing staff; ITU nurse; CCU nurse
Community nurses: district nursing; home health nurses; public health nurses; community nursing; home nursing; parish nurse; visiting nurse service
Nurse practitioners: ANP; clinical nurse specialist; CNS; advanced practice; non-medical prescribers; nurse prescribing; physician assistants; consultant nurse; nurse-led care; advanced clinical practitioner
Midwives: midwifery-led; midwifery; community midwife; obstetric nurse; lay birth attendants; birth companion
Doctors: medical doctors; physician; clinician; MD; medical specialists
General practitioners: GP; family practitioner; primary care physician; family medicine; general practice doctor; PCP; locum
Trainee doctors: resident; intern; registrar; residency; junior doctor; houseman; postgraduate medical trainees; SHO
Surgeons: surgical team; surgical consultants; operating surgeon; surgical trainees; neurosurgeon; cardiac surgeon
Anaesthetists: anaesthetic team; anaesthesia providers; nurse anaesthetist; CRNA; anaesthesiologist
Pharmacists: clinical pharmacist; hospital pharmacist; pharmacy technician; community pharmacist; dispenser
Physiotherapists: physical therapist; physio; PT; respiratory physiotherapy; physiotherapy services; kinesiotherapist
Occupational therapists: OT; occupational therapy; functional assessment by therapists; ergotherapy
Dietitians: RD; nutritionist; dietetics; dietary counselling; nutrition counselling
Emergency workers: first responder; EMS personnel; emergency responders; disaster responders; rescue personnel; lifeboat crew; mountain rescue
Paramedics: EMT; emergency medical technician; ambulance personnel; prehospital clinicians; ambulance officers; paramedic crews; prehospital staff
Volunteer responders: community first responder; CFR; volunteer EMS; lay first responders; volunteer paramedics; volunteer ambulance crew; retained crews; on-call volunteers
Care assistants: HCA; nursing auxiliary; nurse's aide; nursing aide; certified nursing assistant; care worker; personal support workers; healthcare assistant; direct care workers; home health aides; unlicensed assistive personnel; care home staff; nursing assistant
Employees: working population; occupational groups; employed persons; staff members; workplace population
Shift workers: night-shift workers; rotating shift employees; night shift nurses; shift-working nurses; night staff; rotating night shift workers
Drivers: commercial drivers; HGV drivers; truckers; lorry driver; vocational drivers; chauffeurs; haulage
Industrial workers: manufacturing employees; welders; foundry workers; textile workers; process operators; factory staff
Office workers: clerical staff; white collar; desk-based employees; knowledge workers; call handlers; VDU users
Police officers: law enforcement; police force; patrol officers; policing
Teachers: educators; teaching profession; nursery staff
Students: university students; college students; learners; freshmen; higher education; secondary school pupils
Nursing students: student nurse; pre-registration nursing; undergraduate nurses; nursing undergraduates; nursing education; clinical placements; student nurses' placements; nurse education
Medical students: medical undergraduates; medical education; medical trainees; clerkship; undergraduate medicine
Volunteers: voluntary sector; lay helpers; charity workers; voluntarism; third sector
Family carers: informal caregiver; informal care; caregiver; family caregiving; spousal carers; young carers; unpaid care; dementia caregivers; kin carers; parent carers; caregiving
Carers under strain: caregiver burden; caregiver burnout; carer distress; caregiver stress; burden of care; caregiver depression
Patients: inpatient and outpatient populations; service user; consumer; hospitalised individuals
Inpatients: hospitalised; admitted; bed-based care; ward patients; hospitalised older people
Outpatients: ambulatory; day patients; clinic attendees
Surgical patients: perioperative; surgical inpatients; postoperative patients; preoperative patients; pre-op; post-op; patients undergoing surgery; elective surgery patients
Critically ill patients: critical illness; mechanically ventilated patients; ICU patients; ventilated; intubated patients; critically ill adults; multi-organ failure; ARDS
Long-term patients: multimorbidity; comorbidity; LTC; several chronic conditions; non-communicable disease; NCD
Dying patients: terminally ill; terminal phase; imminently dying; end-stage disease; palliative patients
Transplant patients: organ recipient; allograft; graft recipients; rejection; immunosuppressed
Patients in isolation: barrier nursed; isolated for infection; source isolation patients; quarantined
Pregnant women: gravid; antenatal; prenatal; expectant; maternal; primigravida; prenatal care; antenatal clinic; antenatal care; pregnant mothers; trimester; parous
New mothers: postpartum; postnatal; puerperium; puerperal; post-partum women; primiparous; first-time mothers; postnatal care; maternal postpartum; early motherhood; lone mothers
Rural residents: rural population; remote communities; rural dwellers; geographically isolated; rurality; rural areas
City residents: urban; urban population; metropolitan; urbanisation
Families: next of kin; family members; significant others; relatives; family-centred care; family caregivers; grandparents; family involvement; grandparents who raise children
Parents: parental; parenting; mother and father; guardians; caregivers of children; parenthood; maternal and paternal; single mothers; foster parents; adoptive
Fathers: paternal; fatherhood; paternal postnatal; male partners; expectant father; husbands; husband in the delivery room
Brothers and sisters: sibling; sib; sibship
Bereaved people: bereavement; widowhood; widowed; bereaved parents; survivors of suicide loss; bereavement care; widow; widower; recently widowed; spousal loss
People with disabilities: disability; physical impairment; disabled; cerebral palsy; accessibility; special educational needs; functional limitation
Deaf people: deafened; cochlear implant users; sign language; hearing impaired; hard of hearing
Blind people: visual impairment; low vision; sight-impaired; braille; visually impaired
People with learning disabilities: intellectual disability; cognitive disability; developmental delay; learning disabled; special needs
Homeless people: rough sleeping; hostel; homelessness; insecurely housed; sofa surfing
Refugees: asylum; displaced persons; undocumented migrants; forced migration; migrants; humanitarian settings; asylum-seeking
Prisoners: incarcerated; detention; correctional; detained persons; prison population; incarceration
Athletes: sports medicine; elite athletes; players; competitive sport; sportswomen
Dentists: dental practitioner; orthodontist; dentistry; dental surgeon; dental team; dental care professionals
Dental hygienists: hygienist; dental nurse; dental assistants; dental prophylaxis staff
Psychologists: clinical psychologist; psychology services; mental health therapist
Social workers: social care; social services; social work; case worker; welfare worker; safeguarding
Speech therapists: SLT; SLP; speech-language pathologist; speech and language; logopaedist
Radiographers: sonographer; radiology technologist; mammographer; imaging technician
Laboratory staff: biomedical scientist; pathologist; phlebotomist; phlebotomy; lab technician; laboratory worker; microbiologist
Optometrists: optician; orthoptist; ophthalmologist; ophthalmic; eye doctor
Podiatrists: chiropodist; podiatry; chiropody; foot clinic
Community health workers: CHW; lay health worker; health promoter; village health volunteers; peer educators; community health volunteers
Health managers: executives; nurse executives; administrator; hospital director; health administrators; policy makers
Chaplains: chaplaincy; pastoral care; spiritual care; hospital chaplain
Interpreters: interpreting; translation services; interpreter services; bilingual staff; language services
Children's nurses: paediatric nursing; paediatric nurse; NICU nurses; child nursing
Mental health nurses: psychiatric nursing; RMN; mental health nursing; psychiatric ward staff; forensic nurses
Theatre nurses: perioperative nurse; scrub nurse; scrub; circulating nurse; operating department practitioner; ODP; recovery nurses; anaesthetic nurse; theatre staff
Emergency nurses: emergency nursing; ED nurse; triage nurse; A&E nurse; ER nurses
School nurses: school nursing; school-based nurse; school nurse service
Newly qualified nurses: preceptorship; new graduate; NQN; transition to practice; newly licensed nurses; transition shock; novice nurse; graduate nurse; early career nurses
Charge nurses: nurse manager; ward sister; nurse leaders; shift leader; head nurse; ward manager; nursing unit manager; sister; clinical nurse manager
Psychiatrists: psychiatry consultant; mental health physician; psychiatry trainees
Radiologists: imaging specialist; interventional radiologist; radiology consultant; image interpretation
Paediatricians: child physician; neonatologist; paediatric consultant
Obstetricians: gynaecologist; obstetrics; OB-GYN; obstetric consultant
Emergency doctors: emergency physician; emergency medicine physicians; A&E doctor; trauma doctor; prehospital doctors
Firefighters: fireman; fire service; fire brigade; volunteer firefighters; firefighting
Ambulance dispatchers: dispatcher; call taker; emergency dispatch; EMD; telecommunicators; emergency call handlers; dispatch centre; ambulance control; emergency medical dispatch
Rescue pilots: HEMS; air ambulance; helicopter emergency medical services; aeromedical; flight nurse; flight paramedic; retrieval teams
Farmers: agriculture; agricultural worker; farm worker; agricultural labourer; livestock farmers; pesticides
Miners: mining; coal mining; underground mine; mineworker; fly-in fly-out
Seafarers: maritime; offshore; mariner; fishing crew; merchant navy; submarine; naval crew
Airline crews: pilot; cabin crew; flight attendant; aviation; aviators; long-haul pilots; air traffic controllers
Construction workers: construction industry; builder; labourer; scaffolder; building trade; road crew
Cleaners: cleaning staff; domestics; housekeeping; environmental services staff; janitor
Cooks and kitchen staff: catering; chef; hospitality workers; kitchen staff; food service staff
Call centre workers: call centre; contact centre; telephone operators; call agents
Security guards: security personnel; security staff; guard; watchman; surveillance staff
Prison officers: correctional officer; custodial staff; prison staff; prison guard; jail officers
Soldiers: military; armed forces; army; military personnel; service personnel; deployment; combat veterans; navy personnel
Home workers: telework; remote work; working from home; WFH; hybrid working; homeworking; teleworker
Migrant workers: immigrant; overseas-trained; internationally educated nurses; foreign-trained; international recruitment; expatriates; economic migrants; foreign-born workers; internationally recruited nurses
Older workers: ageing workforce; over-50 employees; late career; older employees
Apprentices: vocational trainees; apprenticeship; young employees; vocational training
Working hours: work schedule; working time directive; EWTD; hours of work; weekly working time; resident duty hours; duty hours; work hour limits
Shift work: atypical hours; nonstandard hours; shift schedule; rotating rosters; shift system; unsocial hours; shift-work schedule; 24-hour operations; shift patterns
Night work: nightshift; night duty; fixed nights; consecutive nights; permanent night shift; number of consecutive night shifts; nocturnal working
Rotating shifts: rotational shifts; forward rotation; backward rotation; fast rotation; slowly rotating; rotating roster; alternating day and night shifts
Extended shifts: 12-hour shift; twelve-hour shift; prolonged shifts; 24-hour call; extended duration shifts; long working days; 8-hour versus 12-hour
Early morning shifts: early shift; early start; morning shift; dawn start
On-call duty: on call; on-call rota; standby; pager duty; out-of-hours on call; residents on call; on-call work; call duty
Overtime: mandatory overtime; extra hours; long working week; working over contracted hours; excessive hours; moonlighting; voluntary overtime
Rest breaks: break time; breaks; rest period; work breaks; intershift recovery; microbreaks; recovery breaks
Duty naps: napping on shift; nap during night shift; scheduled naps; workplace napping; prophylactic nap; on-shift nap; nap opportunities; strategic napping; night-shift napping; nap room
Protected rest: protected break time; protected sleep; protected sleep time; pager-free; bleep-free; undisturbed rest; uninterrupted rest; night float
Part-time work: part-time; reduced hours; less than full time; LTFT; job sharing; fractional posts
Staffing: nurse-to-patient ratio; nurse staffing; staffing level; safe staffing; minimum staffing; workforce planning; manpower; staffing mix; skill mix; agency staff; temporary staff; bank staff; nurse workforce
Rostering: self-scheduling; roster; rota; scheduling; duty roster; e-rostering; shift scheduling; shift allocation; shift planning; roster design; timetabling
Staff turnover: retention; attrition; intention to quit; nurse turnover; intent to leave; workforce retention; nurse retention; leaving rates
Staff recruitment: recruitment and retention; vacancies; hiring; international recruitment; workforce supply; job offers; salaries; pay
Staff shortage: nursing shortage; understaffed; vacancy rate; workforce crisis; nurse shortages; staffing shortfall; inadequate staffing; lack of personnel; workforce deficit
Sick leave: absenteeism; sickness absence; long-term sickness; absence from work; work disability; days absent; sick pay
Workload: nursing workload; work intensity; patient load; caseload; demands; time constraints; workload measurement; busyness
Job satisfaction: work satisfaction; work engagement; job enjoyment; motivation at work; vocation; engagement of staff; organisational commitment
Work accidents: occupational injury; workplace accident; occupational safety; industrial injury; occupational hazards; work-related injury; health and safety
Needle injuries: NSI; needlestick injury; sharps; percutaneous injury; needlestick; sharps injury; body fluid exposure; occupational blood exposure; post-exposure prophylaxis
Commuting accidents: drowsy driving; post-shift driving; motor vehicle crash after work; fall asleep crash; sleep-related crash; driving home drowsy; driver fatigue; drowsy driving after nights; fatigue-related crashes
Work performance: productivity; job performance; occupational performance; work ability; efficiency; performance on shift; work output
Work errors: human error; errors; clinical errors; diagnostic error; misdiagnosis; mistakes; medical errors; slips and lapses
Workplace violence: patient aggression; assault on staff; violence and aggression; aggressive incidents; verbal aggression; abuse of staff; violence against nurses; physical assault; de-escalation
Bullying at work: workplace bullying; lateral violence; horizontal violence; harassment; mobbing; workplace incivility; discrimination at work; nurses bullying nurses; sexual harassment
Work and family: work-life conflict; work-life balance; work-family interference; family-work conflict; maternity leave; parental leave; domestic life
Staff wellbeing: staff wellness; occupational health of nurses; psychological wellbeing of staff; nurse wellbeing; employee wellbeing; staff support; wellness programmes
Compressed working week: four-day week; compressed schedule; compressed work week; 4x10; weekly compressed schedules
Flexible hours: flexible working; flexitime; flextime; flexible scheduling; employee-controlled hours; schedule control; worktime control
Quick returns: short inter-shift interval; inter-shift rest; less than 11 hours between shifts; short recovery time; backward shift change; short changeovers; time between shifts
Split shifts: split duty; broken shift; divided shift; split working day
Working weekends: weekend working; Sunday work; weekend shifts; weekend effect; holiday duty; weekend duty
Return to work: vocational rehabilitation; work resumption; RTW; back-to-work; work reintegration; sick leave return
Retirement: retirement age; early retirement; pension; retirees; postponing retirement
Unemployment: joblessness; unemployed; layoffs; job loss; claimants; worklessness
Job insecurity: precarious employment; temporary employment; zero-hours; casualised; fixed-term contract; insecure jobs; gig economy; agency nurses
Career: career progression; promotion; professional development; career pathway; career choice; career advancement; salary
Workplace design: ergonomics; workstation; human factors; human factors engineering; ergonomic intervention; workspace; sit-stand desk; anthropometry
Lifting aids: patient handling; hoist; manual handling; safe patient handling; lifting equipment; no-lift policy; slide sheet; transfers; patient lifting; sling lifts
Commuting: commute; travel to work; journey home; active commuting; post-shift commute; driving to work; commuting time
Supervision at work: clinical supervision; supervisory; preceptor; reflective supervision; supervised practice
Mentoring: mentor; preceptorship; coaching; mentorship; role model; buddy system; coaching of staff
Task sharing: task-shifting; skill mix; role substitution; delegation; role extension; scope of practice; nurse substitution; extended roles; skill-mix changes; delegating; non-medical prescribing
Presenteeism: sickness presence; working while sick; sickness presenteeism; attending work while ill; coming to work unwell
Moral distress: moral injury; ethical dilemma; ethical conflict; moral residue; ethical distress; moral conflict; conscientious objection; ethics at the bedside
Sleep: sleep physiology; sleep medicine; sleep architecture; nocturnal sleep; sleep pattern; sleep behaviour; sleep health
Sleep length: total sleep time; TST; sleep duration; short sleep duration; hours of sleep; sleep quantity; time in bed; sleep extension
Sleep quality: sleep efficiency; subjective sleep quality; restorative sleep; sleep continuity; nonrestorative sleep; sleep satisfaction; sleep fragmentation
Day sleep: daytime sleep; post-night-shift sleep; recovery sleep; diurnal sleep; sleep after night duty; daytime recovery sleep
Naps: napping; power nap; daytime nap; afternoon nap; nap duration
Sleep stages: REM; slow-wave sleep; NREM; non-REM; REM sleep; sleep staging; sleep macrostructure; rapid eye movement
Sleep onset: sleep latency; sleep onset latency; time to fall asleep; latency to sleep
Waking state: wakefulness; sustained wakefulness; hours of wakefulness; wake after sleep onset; WASO; extended wakefulness; prolonged wakefulness
Alertness: vigilance; arousal; alertness on night shift; attentiveness; wake promotion; night-time alertness; subjective alertness; neurobehavioural alertness
Sleepiness: excessive daytime sleepiness; EDS; somnolence; drowsiness; hypersomnolence; sleep propensity; sleepiness on shift; daytime somnolence; on-shift sleepiness
Sleep inertia: post-awakening grogginess; post-nap impairment; performance on waking; sleep drunkenness; waking performance
Sleep problems: sleep disturbance; sleep disorder; sleep disruption; sleep impairment; dyssomnia; parasomnia; disordered sleep; sleep complaint; fragmented sleep
Insomnia: sleeplessness; sleep-onset insomnia; early morning awakening; chronic insomnia; sleep maintenance; primary insomnia; insomnia disorder; night waking; insomnia symptoms; nocturnal awakenings
Shift work sleep problems: shift work disorder; SWD; SWSD; shift-work insomnia; sleep in shift workers; sleep disturbance in night workers; shift work sleep disorder; sleep of night workers
Lack of sleep: sleep deprivation; sleep restriction; sleep debt; partial sleep deprivation; sleep loss; sleep-deprived; acute sleep deprivation; total sleep deprivation
Breathing pauses in sleep: OSA; obstructive sleep apnoea; sleep-disordered breathing; sleep apnea syndrome; apnoea-hypopnoea; AHI; SDB; hypopnoea; central sleep apnoea; obesity hypoventilation
Restless legs: RLS; periodic limb movements; PLMD; restless legs syndrome; nocturnal leg cramps; leg cramps at night
Nightmares: nightmare disorder; post-traumatic nightmares; imagery rehearsal; distressing dreams
Snoring: habitual snoring; snorer; upper airway resistance; mandibular advancement; primary snoring
Dreaming: dream content; oneiric; lucid dreaming; dream recall
Sleep in hospital: inpatient sleep; sleep in intensive care; nocturnal care interruptions; sleep promotion on wards; sleep in the ICU; in-hospital sleep; patients' sleep; sleep disruption in hospital; hospital sleep disturbance
Sleep in pregnancy: maternal sleep; antenatal insomnia; sleep during pregnancy; gestational sleep; sleep position in pregnancy
Children's sleep: paediatric sleep; infant sleep; bedtime resistance; sleep training; behavioural sleep problems; school start times; sleep in children; co-sleeping; bed-sharing; pediatric insomnia
Two-part sleep: split sleep; biphasic; segmented sleep; polyphasic sleep; bimodal sleep
Sleepwalking: somnambulism; parasomnia; nocturnal wandering; NREM parasomnia
Sleep attacks: narcolepsy; cataplexy; irresistible sleep; narcoleptic
Too much sleep: hypersomnia; idiopathic hypersomnia; excessive sleep; long sleep duration; oversleeping
Night terrors: pavor nocturnus; sleep terror; night-time arousal disorder; confusional arousal
Bedwetting: enuresis; nocturnal enuresis; primary enuresis; enuretic; desmopressin; wetting alarm
Getting up at night to urinate: nocturia; nocturnal polyuria; nocturnal voiding; night-time toileting; nocturnal micturition
Body rhythms: circadian; circadian rhythm; chronobiology; diurnal rhythm; circadian system; suprachiasmatic; clock genes; diurnal variation
Body clock timing: circadian phase; phase advance; phase delay; phase shift; entrainment; DLMO; circadian adaptation; re-entrainment; phase response; delayed sleep phase disorder; circadian entrainment; circadian phase shifting
Body clock misalignment: circadian misalignment; circadian disruption; jet lag; desynchronisation; chronodisruption; internal desynchrony; circadian disturbance; jet-lagged
Time-of-day type: chronotype; morningness-eveningness; evening type; morning type; eveningness; circadian preference; diurnal preference
Melatonin rhythm: endogenous melatonin; melatonin suppression; salivary melatonin; DLMO; melatonin profile; urinary 6-sulfatoxymelatonin; melatonin levels
Body temperature rhythm: core body temperature; CBT minimum; temperature nadir; thermoregulation; circadian temperature
Sleep care: sleep promotion; sleep intervention; sleep management; non-pharmacological sleep interventions; sleep medicine interventions; sleep protocol
Sleep advice: sleep hygiene; sleep health education; sleep education programme; sleep counselling; healthy sleep habits
Sleep scheduling: sleep timing; sleep-wake schedule; bedtime; bedtime scheduling; anchor sleep; regular bedtime; sleep regularity; sleep opportunity
Breathing masks for sleep: CPAP; continuous positive airway pressure; PAP therapy; APAP; CPAP adherence; sleep apnea mask; positive airway pressure
Earplugs and eye masks: earplug; eye mask; sleep mask; eye cover; noise-cancelling headphones; eyeshades
Bedtime routines: pre-bed routine; bedtime ritual; wind-down; bedtime procedure; pre-sleep; bedtime behaviour
Sleep tracking: consumer sleep tracker; sleep app; home sleep monitoring; sleep wearable; ballistocardiography; actigraph
Light: illuminance; luminance; photic; spectral composition; visible light; light intensity; melanopic; correlated colour temperature; light exposure; photoperiod
Daylight: natural light; sunlight exposure; daylight exposure; daylighting; solar; outdoor light; sun exposure by day
Blue light: short wavelength; blue-enriched; blue light hazard; LED blue; short-wavelength light; screen light; melanopsin
Dim light: low illuminance; dim red light; below 50 lux; control light; placebo light; dim light condition
Light at night: artificial light at night; ALAN; nocturnal light exposure; night-time illumination; night light; light exposure at night
Lighting: illumination; light fixtures; luminaire; fluorescent lighting; indoor lighting; office lighting; workplace lighting; lighting design; artificial lighting
Ward lighting: hospital lighting; ICU lighting; bedside lighting; nursing station lights; hospital light levels; lighting in intensive care
Dynamic lighting: circadian lighting; tunable white; cycled lighting; biodynamic light; variable lighting; human-centric; lighting system that varies by time
Noise: sound level; noise exposure; environmental noise; noise-induced; dB; acoustic; aircraft noise; noise pollution
Ward noise: hospital noise; noise in the ICU; sound levels on wards; noise reduction in hospital; noise levels in the ICU; nocturnal ward noise; acoustic environment in hospital; NICU noise
Indoor climate: ambient temperature; ventilation; humidity; indoor environment; thermal comfort; indoor air quality; heating and cooling; sick building
Green space: nature exposure; urban parks; greenness; blue space; forest bathing; horticultural; horticulture; green exercise
Altitude: high altitude; hypobaric; mountaineering; acute mountain sickness; altitude sickness; hypoxia at altitude
Heat exposure: high ambient temperature; heat stress; climate heat; extreme heat; occupational heat
Air quality: air pollution; particulate; PM2.5; ozone; pollutants; nitrogen dioxide; ambient air pollution; traffic-related pollution
Housing: housing quality; living conditions; home environment; dwelling; overcrowded housing; residential; tenancy; shared bedrooms
Damp and mould: mold; indoor dampness; mould exposure; fungal spores; moisture in homes
Fuel poverty: energy poverty; cold homes; heating; home insulation; unaffordable fuel; energy insecurity
Water: drinking water; water quality; WASH; fluoridation; water supply; wastewater; waterborne
Cold exposure: cold stress; hypothermic environment; winter mortality; cold work
Radiation: ionising radiation; X-ray dose; radon; radiation exposure; dosimetry; radiation protection; electromagnetic
Sun exposure: ultraviolet; UV exposure; sunburn; tanning; UVB; sunlight exposure
Traffic: road traffic; traffic noise; traffic volume; vehicle emissions; road safety; motor traffic
Floods and storms: natural disaster; flooding; extreme weather; climate disaster
Hospital rooms: single room; ward design; multi-bed bay; healthcare architecture; inpatient rooms; hospital design; single-occupancy; open-plan wards; healing environment; dementia-friendly environment
Hospital gardens: healing garden; therapeutic garden; horticultural therapy; hospital grounds
Alarms: alarm fatigue; clinical alarms; monitor alarms; nurse call; nuisance alarms; call light; nurse call bell; alarm management; bed alarm
Cleanliness of surfaces: environmental cleaning; decontamination; disinfection; surface contamination; hospital cleaning; fomites; terminal cleaning; UV disinfection; disinfectant
Window views: natural view; window access; view of nature; windowless; outdoor view
`;

/** As `clinicalNames.ts`, of further conditions, treatments, care and research. */
export const CLINICAL_NAMES_OF_CARE = `
Falls: fall injury; recurrent falls; fall risk; inpatient falls; faller; falls risk assessment; syncope and falls; fall incidence; fall rate; falls in hospital
Incontinence: urinary incontinence; UI; stress incontinence; urge incontinence; overactive bladder; OAB; faecal incontinence; continence care; double incontinence; continence; post-prostatectomy incontinence
Constipation: faecal impaction; opioid-induced constipation; bowel care; defecation; bowel management; impaction; bowel function
Feeding in infancy: formula feeding; complementary feeding; infant nutrition; enteral feeding of preterm infants; tongue-tie; cup feeding; responsive feeding; infant formula
Breastfeeding: lactation; exclusive breastfeeding; EBF; mastitis; lactation support; expressed breast milk; breast pump; donor milk; human milk; breastfeeding initiation; breastfeeding duration; nipple pain; lactating
Frailty: frail; frailty syndrome; pre-frail; prefrailty; frailty index; vulnerable elders; physiological reserve
Cancer: neoplasm; oncology; malignancy; metastasis; sarcoma; oncological; metastatic; palliative oncology; cancer diagnosis; pancreatic cancer; liver cancer; bladder cancer; stomach cancer; brain cancer; kidney cancer; immunotherapy
Breast cancer: mastectomy; breast carcinoma; breast reconstruction; BRCA; breast-conserving surgery; mammary; breast oncology; DCIS
Lung cancer: NSCLC; bronchogenic carcinoma; mesothelioma; lobectomy; small cell; lung nodule; pulmonary nodule
Bowel cancer: colorectal cancer; CRC; colon carcinoma; rectal cancer; faecal occult blood; colectomy; colonoscopy; polypectomy; FOBT; anterior resection; adenoma; colorectal surgery
Prostate cancer: prostatectomy; PSA; androgen deprivation; prostate screening; brachytherapy; radical prostatectomy; prostate biopsy
Skin cancer: melanoma; BCC; basal cell carcinoma; squamous cell carcinoma; actinic keratosis; naevus; keratinocyte; dermoscopy
Blood cancer: leukaemia; lymphoma; myeloma; haematological malignancy; AML; stem cell transplantation; Hodgkin; neutropenia; myelodysplastic; haemato-oncology; CLL
Childhood cancer: paediatric oncology; childhood leukaemia; neuroblastoma; retinoblastoma; adolescent cancer
Cancer survivors: survivorship; cancer aftercare; post-treatment cancer; long-term survivors; cancer follow-up; fear of recurrence
Cancer fatigue: CRF; cancer-related fatigue; chemotherapy-related fatigue; fatigue in cancer patients; radiotherapy fatigue; fatigue in breast cancer
Neck and throat cancer: HNC; head and neck cancer; oral cancer; laryngectomy; laryngeal; oropharyngeal cancer; nasopharyngeal; oesophageal cancer
Womb and ovary cancer: gynaecological cancer; endometrial cancer; cervical cancer; ovarian cancer; hysterectomy for cancer; gynaecological oncology; vulval cancer
Nausea and vomiting: PONV; CINV; emesis; postoperative nausea; chemotherapy-induced nausea; nausea; antiemetic need; hyperemesis; emetic
Dry mouth: xerostomia; hyposalivation; salivary flow; Sjogren; thirst; salivary gland; thirst at the end of life
Walking: gait; ambulation; locomotion; gait training; gait rehabilitation; walking ability; gait analysis; gait disorder; treadmill; ambulatory ability
Walking speed: gait speed; usual gait speed; 10-metre walk; gait velocity; walking pace
Balance: postural control; postural stability; postural sway; balance impairment; dynamic balance; balance disorder
Muscle strength: grip strength; quadriceps strength; muscle force; isometric; muscular power; weakness; muscle function; dynamometer; myopathy
Daily living tasks: ADL; activities of daily living; functional independence; functional ability; functional decline; dependency; functional status; functional capacity; self-care ability; independent living
Mobility aids: walker; rollator; walking aid; crutch; assistive device; cane use; gait aid; assistive technology for walking; walking stick
Wheelchairs: powered mobility; manual wheelchair; wheelchair seating
Early mobilisation: early mobility; early ambulation; ICU mobilisation; enhanced recovery; ERAS; postoperative ambulation; early rehabilitation in ICU; mobilisation; out of bed
Stair climbing: stair ascent; stair negotiation; step test; stair-climb
Standing up from a chair: sit-to-stand; chair rise; 30-second chair stand; five times sit to stand; transfer from sitting
Hand function: dexterity; manual dexterity; fine motor skills; upper limb function; hand therapy; pinch strength; constraint-induced; upper extremity function; hand rehabilitation; fine motor
Joint movement: ROM; range of motion; contracture; stiffness; flexibility; spasticity; botulinum toxin; joint stiffness; stretching; spasm
Fitness: VO2max; cardiorespiratory fitness; aerobic capacity; exercise tolerance; physical fitness; endurance; exercise capacity; cardiopulmonary exercise test; deconditioning
Posture: postural alignment; kyphosis; forward head posture; sitting posture; ergonomic posture
Going out of home: life space; outdoor mobility; homebound; community mobility; transport use; community participation
Bathing and dressing: personal care; bathing; showering; assisted bathing; perineal care; dressing and grooming; washing without water
Household tasks: IADL; instrumental activities; housekeeping; meal preparation; domestic tasks; money management
Speech: dysarthria; stammering; stuttering; voice disorder; dysphonia; phonation; speech intelligibility; articulation; voice quality; hoarseness; apraxia of speech
Bed mobility: in-bed movement; repositioning oneself; bed rest; immobility; immobilised patients
Pregnancy and birth: obstetric; childbirth; maternal health; perinatal; gestation; multiple pregnancy; twin pregnancy; maternity care; intrapartum; reproductive health; breech; placenta; abortion; termination of pregnancy; caul; pregnancy outcomes
Labour: parturition; vaginal birth; second stage; labour ward; spontaneous labour; vaginal delivery; instrumental delivery; intrapartum care; ventouse; vacuum extraction; breech delivery; cord clamping; birth position; shoulder dystocia; third stage; VBAC
Long labour: dystocia; prolonged second stage; failure to progress; labour dystocia; arrested labour; oxytocin augmentation; obstructed labour
Starting labour: induction; post-term; membrane sweep; oxytocin; prostaglandin; post-dates; overdue pregnancy; misoprostol; cervical ripening; prolonged pregnancy
Caesarean birth: caesarean section; C-section; cesarean; emergency caesarean; LSCS; caesarean delivery; elective caesarean; repeat caesarean
Miscarriage: spontaneous abortion; pregnancy loss; recurrent miscarriage; threatened miscarriage; early pregnancy; ectopic pregnancy; early pregnancy bleeding; missed miscarriage
Stillbirth: intrauterine fetal death; IUFD; perinatal mortality; perinatal death; perinatal loss; fetal death
High blood pressure of pregnancy: pre-eclampsia; PIH; gestational hypertension; HELLP; eclampsia; magnesium sulphate; proteinuria
Morning sickness: hyperemesis gravidarum; NVP; nausea and vomiting of pregnancy; emesis gravidarum
Tears at birth: perineal trauma; OASIS; obstetric anal sphincter; perineal pain; perineal massage; third-degree tear; perineal wound
Teenage pregnancy: adolescent pregnancy; adolescent mothers; teenage motherhood; pregnant adolescents
Women's health: gynaecological; hysterectomy; PCOS; polycystic ovaries; gynaecology patients; vulval pain; ovarian cyst; FGM; women's reproductive health; vaginismus
Menopause: vasomotor symptoms; perimenopause; postmenopausal; climacteric; HRT; menopausal; oestrogen deficiency; hot flush
Heavy periods: menorrhagia; HMB; heavy menstrual bleeding; hysterectomy; endometrial ablation; menstrual disorder; abnormal uterine bleeding; menstruation; amenorrhoea
Infertility: IVF; subfertility; assisted reproduction; fertility; ICSI; insemination; ovulation; fertility preservation; sperm quality; assisted reproductive technology; conception; PCOS fertility
Birth control: contraception; contraceptive; IUD; LARC; oral contraceptive; family planning; emergency contraception; contraceptive pill; tubal ligation; abortion; unplanned pregnancy
Pelvic floor weakness: pelvic organ prolapse; pelvic floor dysfunction; cystocele; uterine prolapse; pelvic floor muscle; rectocele
Men's health: testicular; andrology; testosterone deficiency; testicular cancer; male reproductive; hypogonadism; circumcision; testicular self-examination
Prostate enlargement: BPH; LUTS; prostatic hyperplasia; TURP; lower urinary tract symptoms; tamsulosin; prostatitis; urinary symptoms in men; prostate exam
Erection problems: erectile dysfunction; ED; impotence; sildenafil; male sexual dysfunction; post-prostatectomy erectile function
Digestive conditions: gastrointestinal; GI; gastroenterology; pancreatitis; diverticulitis; ileus; dyspepsia; bowel obstruction; postoperative ileus; gut microbiome; endoscopy; gastroscopy; colonoscopy; gastroparesis; bowel disorder; gastrointestinal bleeding
Acid reflux: GERD; GORD; reflux oesophagitis; PPI; omeprazole; heartburn; dyspepsia; Barrett; hiatus hernia; lansoprazole; indigestion
Stomach ulcer: peptic ulcer; H. pylori; Helicobacter; gastric ulcer; duodenal ulcer; stress ulcer; gastritis; gastric bleeding
Irritable bowel: IBS; functional bowel disorder; FODMAP; irritable bowel syndrome; functional abdominal pain; spastic colon
Inflamed bowel: IBD; Crohn; Crohn's disease; ulcerative colitis; colitis; proctitis; infliximab; diverticulitis
Diarrhoea: acute diarrhoea; ORS; diarrhoeal; loose stools; persistent diarrhoea; diarrhoea in children; loperamide
Piles: haemorrhoids; haemorrhoidectomy; anal fissure; anorectal; anal fistula; rubber band ligation
Liver disease: cirrhosis; hepatic; NAFLD; hepatic encephalopathy; alcoholic liver disease; liver failure; fatty liver; hepatology; portal hypertension; steatosis; ascites; liver cancer
Gallstones: cholelithiasis; cholecystectomy; cholecystitis; biliary; gall bladder; ERCP; bile duct
Stoma: ostomy; colostomy; ileostomy; urostomy; stoma care; peristomal; ostomate; stoma nurse
Gluten illness: coeliac; gluten-free diet; gluten intolerance; coeliac disease
Hernia: inguinal hernia; incisional hernia; herniorrhaphy; mesh repair; umbilical hernia; abdominal wall; hernioplasty
Kidney conditions: CKD; renal failure; AKI; acute kidney injury; ESRD; nephropathy; glomerulonephritis; nephrology; renal; kidney function; creatinine; eGFR; nephrotic; contrast nephropathy; end-stage renal disease; polycystic kidney
Kidney stones: nephrolithiasis; urolithiasis; lithotripsy; ureteric stone; renal calculi; renal colic
Dialysis patients: haemodialysis patients; ESRD patients; maintenance haemodialysis; peritoneal dialysis patients; patients receiving dialysis; uraemic pruritus
Urine retention: urinary retention; postoperative urinary retention; POUR; bladder scanner; post-void residual; neurogenic bladder; voiding dysfunction
Skin conditions: dermatological; dermatitis; dermatology; rosacea; hyperhidrosis; urticaria; contact dermatitis; pemphigus; vitiligo; skin disorder; skin rash; skin lesion; hidradenitis; skin reactions; radiation dermatitis
Eczema: atopic dermatitis; atopic eczema; contact dermatitis; occupational hand eczema; topical corticosteroids; hand dermatitis
Psoriasis: psoriatic; plaque psoriasis; scalp psoriasis
Acne: acne vulgaris; isotretinoin; comedones; rosacea; papules; pimple
Itching: pruritus; itch; uraemic pruritus; cholestatic pruritus; burn itch; opioid-induced itch
Hair loss: alopecia; chemotherapy-induced alopecia; alopecia areata; androgenetic
Dry skin: xerosis; skin barrier; emollient need; dehydrated skin; skin hydration; ichthyosis
Eye conditions: ophthalmology; visual impairment; strabismus; amblyopia; ophthalmic; retinal detachment; eye disease; optic neuritis; vision; visual acuity; corneal; uveitis; poor vision; vision loss; retina
Cataract: phacoemulsification; cataract surgery; intraocular lens; lens opacity
Raised eye pressure: glaucoma; intraocular pressure; IOP; ocular hypertension; timolol; latanoprost; visual field loss
Sight loss with age: AMD; macular degeneration; ARMD; anti-VEGF; macular; intravitreal; ranibizumab; age-related macular degeneration
Short sight: myopia; refractive error; astigmatism; hyperopia; myopic; presbyopia; atropine drops; near work
Dry eyes: dry eye disease; keratoconjunctivitis sicca; tear film; exposure keratopathy; eye strain; eye care in intensive care; computer vision syndrome; blink
Diabetic eye damage: diabetic retinopathy; DR screening; macular oedema; retinal screening; diabetic eye screening
Ear conditions: ENT; otology; cerumen; otorhinolaryngology; otological; ear syringing; microsuction; cholesteatoma
Hearing loss: presbycusis; hearing impairment; NIHL; sensorineural; audiology; audiometry; hearing screening; noise-induced hearing loss; newborn hearing screening; age-related hearing loss
Ringing in the ears: tinnitus; ear noise; hyperacusis; tinnitus retraining
Mouth and tooth conditions: oral health; dental disease; dentistry; oral disease; malocclusion; orthodontic; oral lesion; dental problems; oral hygiene status; oral candidiasis; oral thrush; braces for teeth
Tooth decay: caries; dental caries; DMFT; early childhood caries; cavity; sealant; fluoride varnish; dental filling
Gum disease: periodontitis; gingivitis; periodontal disease; plaque; gum bleeding; periodontal; dental plaque; scaling
Mouth sores: mucositis; stomatitis; aphthous; oral ulceration; oral mucositis; mouth ulcer; cryotherapy for mucositis; oral ulcers
Tooth loss: edentulism; dentures; edentulous; extraction; denture stomatitis; third molar extraction
Teeth grinding: bruxism; occlusal splint; sleep bruxism; TMJ; clenching
Allergy: allergic rhinitis; hypersensitivity; hay fever; atopy; antihistamine; allergen; latex allergy; drug allergy; immunotherapy; urticaria; pollen allergy; penicillin allergy; house dust mite
Food allergy: peanut allergy; nut allergy; cow's milk allergy; lactose intolerance; allergen avoidance; oral immunotherapy; egg allergy; food intolerance
Severe allergic shock: anaphylaxis; adrenaline auto-injector; anaphylactic; epinephrine; epinephrine autoinjector; angioedema
Poisoning: overdose; intoxication; toxicology; ingestion; paracetamol overdose; self-poisoning; pesticide poisoning; lead exposure; drug toxicity; antidote; activated charcoal; toxic exposure
Accidents and injuries: trauma; major trauma; unintentional injury; injuries; traumatic injury; injury prevention; trauma centre; fall from height; blunt trauma; gunshot wound; minor injury; trauma patients; penetrating trauma
Road crashes: RTA; MVA; road traffic accident; motor vehicle collision; road traffic injury; cycling injuries; pedestrian injury; MVC; traffic collision; motorcycle helmets
Drowning: submersion injury; near-drowning; water safety; swimming lessons
Sports injuries: ACL; anterior cruciate ligament; ankle sprain; hamstring strain; athletic injury; sprain; sport-related concussion; ligament injury; groin strain
Eye injuries: ocular trauma; corneal abrasion; chemical eye burn; ocular injury; foreign body
Violence at home: IPV; domestic violence; intimate partner violence; domestic abuse; gender-based violence; spousal abuse; rape; sexual assault; sexual violence; marital violence
Child abuse: child maltreatment; safeguarding; adverse childhood experiences; ACEs; child neglect; non-accidental injury; bullying in schools; child sexual abuse; cyberbullying; peer bullying; abusive head trauma
Elder abuse: elder mistreatment; safeguarding adults; abuse in nursing homes; elder neglect; institutional abuse; financial abuse
Heat illness: exertional heat illness; hyperthermia; heat-related illness; heat exhaustion
Low body temperature: hypothermia; perioperative hypothermia; inadvertent hypothermia; shivering; postoperative shivering; neonatal hypothermia; accidental hypothermia; normothermia
Bleeding: haemorrhage; haemostasis; coagulopathy; major haemorrhage; GI bleed; tranexamic acid; haematoma; post-extraction bleeding; bruising; bleeding time; haematuria; intraoperative blood loss
Bleeding after birth: PPH; postpartum haemorrhage; oxytocin; uterine atony; carbetocin; third stage bleeding; uterotonic; ergometrine
Nosebleed: epistaxis; nasal packing; nasal cautery; nasal bleeding
Shock: hypovolaemic shock; cardiogenic; haemodynamic instability; vasopressors; circulatory shock; haemorrhagic shock
Weakness after intensive care: post-intensive care syndrome; ICU-acquired weakness; critical illness myopathy; ICU survivors; intensive care follow-up; critical illness polyneuropathy; intensive care diary; ICU diaries; intensive care survivors
Long-term symptoms after infection: post-viral fatigue; post-COVID; post-acute sequelae; ME/CFS; myalgic encephalomyelitis; post-infectious syndrome; persistent symptoms after COVID-19
Genetic conditions: hereditary; genetic disorder; genetic counselling; inherited disorder; BRCA carriers; genetic screening; congenital disorder; Huntington's; Marfan; Duchenne; genomic testing
Cystic lung and gut disease: CF; cystic fibrosis; airway clearance; pancreatic insufficiency; mucoviscidosis
Sickle cells: SCD; sickle cell disease; vaso-occlusive crisis; hydroxyurea; sickle crisis; haemoglobinopathy
Clotting faults: haemophilia; coagulation disorder; von Willebrand; factor VIII; thrombocytopenia; bleeding disorder; platelet disorder; haemophiliac
Extra chromosome conditions: Down syndrome; trisomy 21; chromosomal abnormality; aneuploidy; Turner; Klinefelter
Birth defects: congenital anomaly; cleft lip; neural tube defects; malformation; congenital heart disease; hydrocephalus; congenital abnormality; hip dysplasia; teratogen; cleft lip and palate
Growth problems: stunting; failure to thrive; faltering growth; growth restriction; IUGR; growth hormone deficiency; short stature; poor weight gain; small for gestational age; SGA; growth failure; child growth; delayed puberty
Newborn jaundice: hyperbilirubinaemia; neonatal jaundice; bilirubin; kernicterus; transcutaneous bilirubin
Colic: infantile colic; infant crying; excessive crying; simethicone; crying in infants
Physical treatments: physiotherapy; physical modalities; manual therapy; electrotherapy; ultrasound therapy; non-pharmacological; hydrotherapy; shockwave therapy; osteopathy; chiropractic; traction; hypnosis; hyperbaric; laser therapy; magnetic stimulation; rTMS; biofeedback; reflexology; reiki; balneotherapy; spa therapy; non-pharmacological interventions
Light therapy: BLT; bright light therapy; phototherapy; light box; light treatment; chronotherapy; light intervention; heliotherapy; UVB phototherapy; photobiomodulation
Bright light exposure: timed light exposure; bright light at work; nocturnal bright light; 10,000 lux; high illuminance; bright light pulses; intermittent bright light; bright light during night shift
Dawn simulation: dawn simulator; sunrise alarm; artificial dawn; naturalistic light
Light glasses: wearable light therapy; light-emitting visor; head-worn light; light-emitting glasses
Light for newborn jaundice: neonatal phototherapy; fibreoptic phototherapy; home phototherapy; LED phototherapy; bilirubin light
Light avoidance: morning light avoidance; dark therapy; light restriction; blackout; light shielding; dark environment
Blue-blocking glasses: blue light filtering; blue blockers; short-wavelength filters; tinted lenses; blue-filtering glasses
Exercise programmes: aerobic exercise; exercise training; exercise intervention; HIIT; supervised exercise; home-based exercise; exercise therapy; graded exercise; exercise prescription; circuit training; aquatic exercise; aerobic training; physical exercise; prescribed exercise; cardiac exercise; exercise for older people; multicomponent exercise; endurance training
Strength training: resistance training; progressive resistance; weight training; resistance bands; muscle strengthening; strength exercise; weightlifting; eccentric training; power training
Balance training: proprioceptive training; perturbation training; exergames; exergaming; video games for balance; vestibular exercise; stability exercise
Walking programmes: pedometer; walking intervention; step-count programme; brisk walking; treadmill programme; walking exercise
Massage: aromatherapy massage; therapeutic touch; foot reflexology; manual lymphatic drainage; hand massage; touch therapy; infant massage; acupressure massage; tactile stimulation; shiatsu
Heat and cold treatment: cryotherapy; thermotherapy; cold application; heat therapy; ice application; superficial heat; cooling packs; cold pack; warm compresses; hot pack; ice chips
Compression treatment: compression bandaging; graduated compression stockings; GCS; intermittent pneumatic compression; compression hosiery; IPC; four-layer bandage; compression garment; compression socks; anti-embolism stockings
Wound dressings: hydrocolloid; alginate; antimicrobial dressing; silver dressing; dressing materials; hydrogel; wound care products; advanced dressings; transparent film; topical agents for wounds; moist wound healing; occlusive dressing; film dressing; dressing change
Foam dressings: multilayer foam; silicone foam; sacral foam; prophylactic dressing; polyurethane foam; preventive foam
Honey dressings: honey gel; honey-impregnated
Suction dressings: NPWT; negative pressure wound therapy; vacuum-assisted closure; topical negative pressure; incisional negative pressure
Pressure-relieving surfaces: alternating pressure; support surface; pressure-redistributing mattress; mattress overlay; heel protector; static air mattress; seat cushion; low-air-loss; pressure relief; specialised beds; viscoelastic
Repositioning: turning; two-hourly turning; prone positioning; semi-recumbent; turning frequency; head-of-bed elevation; proning; lateral position; turning interval; patient positioning; tilt; kinetic therapy; position change; awake prone
Medicines: pharmacotherapy; drug therapy; pharmacological treatment; prescribing; medication; drug treatment; adverse drug reaction; drug interactions; generic medicines; over-the-counter drugs; off-label; pharmacology; monoclonal antibody; chemist medicines; antivirals; antifungals; medicine use
Sleep medicines: hypnotics; benzodiazepine; zolpidem; Z-drugs; sedative-hypnotics; nitrazepam; hypnotic use; lorazepam; trazodone; orexin antagonist; sleeping pill use
Melatonin as medicine: exogenous melatonin; melatonin supplementation; prolonged-release melatonin; ramelteon; melatonin agonist; oral melatonin
Stimulants: psychostimulant; modafinil; armodafinil; wakefulness-promoting agents; dexamphetamine
Caffeine: caffeinated; caffeine intake; coffee consumption; caffeine gum; theophylline; tea consumption; methylxanthine
Pain medicines: analgesic; NSAID; acetaminophen; ibuprofen; diclofenac; aspirin; naproxen; ketamine; topical analgesics; non-opioid; ketorolac; celecoxib; gabapentin; lidocaine patch; cannabis for pain; analgesia
Opioids: morphine; hydromorphone; opioid-sparing; buprenorphine patch; codeine; opioid prescribing; opiates; pethidine; intrathecal morphine; opioid analgesics; methadone
Antidepressants: SSRI; SNRI; citalopram; tricyclic; mirtazapine; venlafaxine; amitriptyline; escitalopram; ketamine for depression; duloxetine; bupropion; paroxetine
Antibiotics: antimicrobial; amoxicillin; antimicrobial stewardship; broad-spectrum; doxycycline; antibiotic prophylaxis; cephalosporin; vancomycin; gentamicin; antibiotic prescribing; ciprofloxacin; macrolide; trimethoprim; flucloxacillin; azithromycin; stewardship; penicillin
Blood pressure medicines: antihypertensive; ACE inhibitor; beta-blocker; ARB; diuretic; calcium antagonist; losartan; furosemide; bisoprolol; hydrochlorothiazide; atenolol; enalapril; lisinopril; propranolol; thiazide; spironolactone; loop diuretics; frusemide
Insulin: insulin therapy; basal-bolus; insulin glargine; insulin injection; CSII; closed-loop insulin; insulin pen; sliding scale
Vitamins: vitamin D supplementation; micronutrient supplements; vitamin B12; calcium; antioxidant; vitamin K; nutritional supplements; folate; probiotics; magnesium supplement; selenium; vitamin A
Many medicines at once: polypharmacy; polymedication; multiple medications; hyperpolypharmacy; potentially inappropriate medicines; drug burden; anticholinergic burden; inappropriate prescribing; drug-drug interaction
Stopping medicines: deprescribing; tapering; discontinuation; medication review; drug withdrawal; weaning from medication; benzodiazepine withdrawal; dose reduction; drug holiday; opioid tapering; gradual withdrawal; medicines optimisation; stopping antipsychotics
Vaccines: immunisation; vaccination; flu vaccine; HPV vaccine; BCG; booster dose; pneumococcal vaccine; influenza vaccination; vaccination of staff; COVID vaccine; childhood immunisation; MMR vaccine; hepatitis B vaccination
Talking treatments: psychotherapy; counselling; psychological intervention; psychosocial intervention; psychodynamic; interpersonal therapy; hypnotherapy; psychological support; grief counselling; trauma counselling; internet therapy; psychoeducation; supportive counselling; e-therapy; psychological therapies; psychoanalysis; online counselling
Cognitive behavioural treatment: CBT; DBT; behavioural activation; cognitive therapy; acceptance and commitment therapy; iCBT; internet-delivered CBT; behavioural therapy; online therapy for depression; cognitive restructuring; computerised CBT
Cognitive treatment of insomnia: CBTi; stimulus control; sleep restriction therapy; digital CBT-I; behavioural insomnia therapy; digital insomnia treatment
Mindfulness: MBSR; mindfulness-based; meditation; MBCT; mindfulness-based stress reduction; loving-kindness
Peer support: peer mentor; mutual aid; peer-led; peer worker; peer counselling; befriending; patient support group; lay-led; buddy scheme; peer volunteers; second victim support
Debriefing: post-event debrief; psychological debriefing; clinical debriefing; after-action review; second victim
Motivational talks: MI; motivational interviewing; motivational enhancement; goal setting; behaviour-change counselling; health coaching; motivational counselling
Music listening: music therapy; music intervention; perioperative music; group singing; recorded music; musical intervention; live music; preoperative music; singing for lung health
Relaxation: progressive muscle relaxation; PMR; diaphragmatic breathing; relaxation therapy; autogenic training; breathing exercise; stress reduction exercises; biofeedback; hypnosis; visualisation; pranayama
Nutrition support: enteral nutrition; parenteral nutrition; TPN; PEG; nasogastric; oral nutritional supplements; ONS; gastrostomy; tube feeding; enteral feeding; NG feeding; immunonutrition; nutritional intervention; nutritional support; fortified diet; artificial nutrition; sip feeds; nasogastric tube
Surgery: operative; surgical procedure; elective surgery; perioperative care; cardiac surgery; abdominal surgery; emergency surgery; hysterectomy; tonsillectomy; appendicectomy; neurosurgery; vascular surgery; bariatric surgery; plastic surgery; skin graft; general surgery; gynaecological surgery; postoperative complications; thoracic surgery; orthopaedic surgery; spinal surgery; laparotomy; surgical outcomes; postoperative recovery; elective operations; mastectomy; urological surgery
Oral care: oral hygiene; chlorhexidine mouthwash; toothbrushing; mouth care; denture care; VAP oral care; oral healthcare; dental hygiene; dental plaque control; oral care in ventilated patients; dental prophylaxis; denture hygiene
Hand hygiene: hand washing; hand disinfection; alcohol-based hand rub; ABHR; handwashing compliance; surgical scrub; hand hygiene compliance
Protective equipment: PPE; N95; FFP2; FFP3; respirators; face shield; gloves; surgical mask; double gloving; personal protective equipment; glove use; wearing masks; barrier protection
Digital health: eHealth; mHealth; telehealth technology; internet intervention; web-based; digital intervention; health informatics; AI; machine learning; assistive technology; social robots; smart home; online intervention; gamification; computer-based intervention; avatars; patient portal; robotics; exoskeleton; digital technology
Phone apps: smartphone app; mobile application; mHealth app; app-based; mobile health application; smartphone-based
Telehealth: telemedicine; telemonitoring; videoconferencing; remote consultation; telerehabilitation; teleconsultation; virtual clinic; telenursing; tele-ICU; teledermatology; telecare; video consultation; virtual consultations; home telemonitoring; telepsychiatry
Reminders: SMS; text messaging; recall system; prompts; reminder system; appointment reminder; text message; telephone reminders; computer reminders; recall letters; electronic reminders
Education of patients: patient education; psychoeducation; health education; teach-back; educational intervention; preoperative education; patient information; self-management education; discharge education; written information; decision aid; antenatal education; childbirth education; parent education; patient teaching; pre-operative information; health promotion education; diabetes education; structured education; video education
Screening: early detection; mammography; cervical screening; Pap; smear test; population screening; case-finding; preoperative screening; breast screening; newborn screening; screening programme; screening uptake; colposcopy; opportunistic screening; HPV testing; MRSA screening; prostate exam; risk assessment; colonoscopy screening; routine screening
Infusions and lines: IV; peripheral cannula; intravenous therapy; PIVC; peripheral venous catheter; extravasation; phlebitis; cannulation; intravenous infusion; subcutaneous infusion; syringe driver; smart pump; vascular access
Central lines: CVC; PICC; central venous catheter; central venous access; PICC line; tunnelled catheter; midline; arterial line; implanted port
Fluid replacement: crystalloid; fluid resuscitation; IV fluids; colloid; rehydration therapy; hypodermoclysis; oral rehydration; fluid therapy; subcutaneous fluids; albumin; saline
Blood transfusion: transfusion; packed red cells; transfusion reaction; platelets; haemovigilance; autologous transfusion; blood components; plasma; transfusion safety; wrong blood in tube; cell salvage; red cell transfusion
Breathing support: mechanical ventilation; invasive ventilation; intubation; ECMO; ventilator; respiratory support; lung-protective ventilation; ventilatory support; mechanically ventilated; assisted ventilation; home ventilation; ventilator settings; tidal volume; high-frequency ventilation
Oxygen: oxygen therapy; supplemental oxygen; nasal cannula; HFNC; high-flow nasal oxygen; LTOT; hyperoxia; oxygen saturation; home oxygen; hypoxia; hypoxaemia; oxygen saturation target; hyperbaric oxygen
Weaning from the ventilator: extubation; SBT; ventilator liberation; weaning protocol; extubation failure; unplanned extubation; spontaneous breathing trial; sedation interruption
Mask ventilation: NIV; BiPAP; noninvasive ventilation; bag-valve-mask; non-invasive positive pressure; face mask ventilation; nasal CPAP
Breathing tube care: tracheostomy; endotracheal suction; ETT; cuff pressure; airway management; tracheal suction; tracheotomy; endotracheal tube; airway suctioning; laryngoscopy; intubation; tracheostomy care; laryngeal mask
Dialysis: haemodialysis; RRT; renal replacement therapy; peritoneal dialysis; CRRT; fistula; arteriovenous fistula; dialysis access; home haemodialysis; hemofiltration
Resuscitation: CPR; BLS; ALS; cardiopulmonary resuscitation; chest compression; neonatal resuscitation; life support; bystander CPR; advanced life support; family presence during resuscitation; dispatcher-assisted CPR; resuscitation training; basic life support
Defibrillators: AED; defibrillation; ICD; implantable cardioverter; public access defibrillation; automated external defibrillator; implantable defibrillator
Radiotherapy: RT; irradiation; radiation therapy; brachytherapy; radiation dermatitis; radiation oncology; proton therapy; radiotherapy side effects; external beam
Chemotherapy: cytotoxic; antineoplastic; adjuvant chemotherapy; cisplatin; chemotherapy side effects; neoadjuvant; cytostatic; antineoplastic agents; immunotherapy; targeted therapy; oral anticancer; doxorubicin; chemotherapy handling
Anaesthesia: general anaesthesia; propofol; anaesthetic; sevoflurane; perioperative anaesthesia; emergence from anaesthesia; anaesthesia awareness; volatile anaesthetic; anaesthetic complications; recovery from anaesthesia; induction of anaesthesia
Local anaesthesia: lidocaine; nerve block; spinal anaesthesia; epidural; regional anaesthesia; bupivacaine; topical anaesthetic; lignocaine; numbing spray; vapocoolant; local anaesthetic; femoral nerve block; ropivacaine; dental anaesthesia; spinal block
Sedation: midazolam; dexmedetomidine; procedural sedation; conscious sedation; palliative sedation; sedation depth; sedation protocol; premedication; deep sedation; oversedation; sedation in intensive care
Transplantation: graft; kidney transplant; donor; allograft; living donor; corneal transplant; immunosuppressant; heart transplantation; organ retrieval; skin graft; brain death; xenotransplantation
Joint replacement: THA; TKA; arthroplasty; THR; TKR; hip replacement; total knee replacement; hip arthroplasty; knee arthroplasty; total joint replacement; hip prosthesis; fast-track arthroplasty; elective hip replacement
Keyhole surgery: laparoscopic; minimally invasive; robotic surgery; arthroscopy; endoscopic surgery; laparoscopic cholecystectomy; robot-assisted; thoracoscopic; pneumoperitoneum; arthroscopic; robot-assisted surgery
Day surgery: ambulatory surgery; same-day discharge; day-case; outpatient surgery; 23-hour stay; day case tonsillectomy
Preparing for surgery: preoperative assessment; prehabilitation; preoperative fasting; NPO; carbohydrate loading; preoperative optimisation; pre-assessment clinic; preoperative preparation; skin antisepsis; preoperative shaving; hair removal; preoperative care; premedication; surgical cancellation; preoperative visit; pre-anaesthetic; preoperative bathing
Bladder catheters: urinary catheter; indwelling catheter; catheterisation; intermittent self-catheterisation; suprapubic; catheter removal; catheter-associated; ISC; urethral catheter; trial without catheter; urinary drainage
Bladder training: pelvic floor muscle training; PFMT; timed voiding; habit training; Kegel; prompted voiding; toileting programme; bladder retraining; toileting assistance; biofeedback for incontinence; continence training; toilet training
Blood sugar monitoring: SMBG; CGM; glucose monitoring; flash monitoring; capillary glucose; glucometer; point-of-care glucose; self-monitoring of glucose; continuous glucose sensor
Blood pressure measurement: ABPM; sphygmomanometer; home blood pressure monitoring; BP measurement; ambulatory blood pressure; arterial pressure monitoring; white coat; blood pressure at night; HBPM; self-measured blood pressure
Temperature control: forced-air warming; therapeutic hypothermia; targeted temperature management; active warming; patient warming; TTM; perioperative warming; prewarming; whole-body cooling; warming devices; thermal care; thermal management; incubator
Skin care: emollient; skin cleansing; skin hygiene; moisturiser; topical treatment; skin care regimen; skin protectant; skin integrity; cord care; skin antisepsis; no-rinse cleanser
Foot care: podiatry care; foot examination; therapeutic footwear; foot self-care; nail care; foot screening; orthotic insoles; foot hygiene; foot inspection
Eye drops: ophthalmic drops; artificial tears; eye medication; topical glaucoma medication; drop instillation; eye ointment; mydriatic
Hearing aids: hearing device; cochlear implant; amplification; assistive listening; hearing aid use; hearing aid uptake; auditory rehabilitation
Glasses and lenses: spectacle; contact lens; eyewear; corrective lenses; refractive correction; orthokeratology; LASIK; visual aids; magnifiers; low vision aids
Prostheses: prosthetic; prosthetic limb; artificial limb; prosthetic fitting; myoelectric; ocular prosthesis; breast prosthesis; prosthetic leg
Splints and braces: orthosis; orthotic; AFO; immobilisation; splinting; ankle-foot orthosis; casting; cervical collar; spinal brace; buddy taping
Acupuncture: electroacupuncture; auricular acupuncture; acupressure; P6; moxibustion; dry needling; traditional Chinese medicine; wristband acupressure; auriculotherapy; cupping
Yoga: hatha yoga; asana; yoga therapy; prenatal yoga
Tai chi: taiji; qigong; tai chi chuan; mind-body exercise
Dance: dance movement therapy; aerobic dance; dance therapy; tango for Parkinson's
Scent treatment: aromatherapy; lavender oil; essential oil; inhalation aromatherapy; olfactory; peppermint; citrus
Art treatment: art therapy; creative arts; drawing therapy; arts in health; expressive writing; craft; creative therapy; arts-based; mandala colouring; bibliotherapy; drama therapy; poetry; photovoice; journalling; storytelling
Animal visits: AAT; animal-assisted; pet therapy; therapy dog; dog-assisted therapy; robotic pets; companion animal; equine therapy; hippotherapy; therapy animals; pet ownership; companion robots; animal-assisted intervention
Humour: clown therapy; laughter therapy; laughter yoga; medical clowns; therapeutic clown; humour intervention
Play: therapeutic play; play therapy; child life specialist; play intervention; hospital play; medical play; preparation through play; child life; toy intervention; board games
Skin-to-skin contact: KMC; kangaroo mother care; kangaroo care; SSC; early skin contact; skin-to-skin; mother-infant bonding; bonding; early contact after birth; rooming-in
Dummies and soothing: sucrose; non-nutritive sucking; swaddling; pacifier; oral sucrose; facilitated tucking; glucose solution; white noise for babies; soothing of infants; pacifier use
Distraction: virtual reality; distraction cards; audiovisual distraction; immersive virtual reality; attention diversion; distraction technique; kaleidoscope; distraction during venepuncture; cartoon distraction
Reminiscence: reminiscence therapy; life review; life story work; autobiographical memory; group reminiscence; dignity therapy; memory book
Problem solving treatment: PST; problem-solving therapy; solution-focused; problem-solving skills; solution-focused therapy
Family treatment: family therapy; couple therapy; family intervention; parenting programme; systemic; family-based treatment; family psychoeducation; parent management training; parenting training; dyadic intervention
Stop smoking help: smoking cessation; NRT; varenicline; cessation counselling; quitline; tobacco cessation; nicotine replacement; stop smoking service; quit attempt; cessation in pregnancy; tobacco treatment; smoking abstinence; bupropion for smoking; quit smoking; smoke-free
Brief advice: SBI; brief intervention; very brief advice; opportunistic intervention; minimal intervention; screening and brief intervention; alcohol brief intervention
Group sessions: group therapy; group intervention; support group; group-based; group counselling; group education; group antenatal care; shared medical appointments; group cohesion
Financial incentives: incentive; contingency management; vouchers; monetary incentive; pay for performance; financial reward; lottery incentive; conditional cash transfers; bonus payments; cash transfer
Care bundles: bundle; care package; multi-component; ventilator bundle; central line bundle; bundled intervention; sepsis bundle; care pathway; clinical pathway; standardised care; multifaceted intervention
Surgical checklist: surgical safety checklist; time-out; safe surgery; surgical time out; swab count; site marking; wrong-site surgery
Fall prevention: falls prevention; fall-risk intervention; hip protector; home hazard; bed alarm; fall-prevention programme; home modification; multifactorial falls intervention; non-slip footwear; falls reduction; fall alarms; low-low beds; fall risk screening; grab bars
Isolation of infected patients: contact precautions; isolation; barrier nursing; quarantine; cohorting; isolation room; source isolation; transmission-based precautions; self-isolation; negative pressure room; patient isolation
Restraint: physical restraint; mechanical restraint; bed rails; restraint reduction; restrictive practice; chemical restraint; rapid tranquillisation; coercion; involuntary treatment; restraint-free care; detention; locked wards; forced treatment; coercive measures
Steroids: corticosteroid; prednisolone; glucocorticoid; hydrocortisone; inhaled steroid; prednisone; antenatal corticosteroids; topical steroid; anabolic steroids; methylprednisolone; budesonide; betamethasone
Blood thinners: anticoagulant; warfarin; DOAC; NOAC; LMWH; antiplatelet; heparin; rivaroxaban; enoxaparin; clopidogrel; anticoagulation; apixaban; aspirin for clots; dabigatran; INR; thromboprophylaxis; direct oral anticoagulants; low-molecular-weight heparin
Cholesterol medicines: statin; simvastatin; atorvastatin; ezetimibe; lipid-lowering; rosuvastatin; PCSK9; statin intolerance; fibrates
Diabetes tablets: SGLT2; sulfonylurea; gliclazide; GLP-1; oral hypoglycaemic; DPP-4; glibenclamide; glucose-lowering; empagliflozin; antidiabetic; pioglitazone; liraglutide; semaglutide; oral antidiabetics
Inhalers: inhaler technique; salbutamol; bronchodilator; spacer; nebuliser; MDI; inhaled corticosteroid; LABA; inhalation device; nebulised; metered-dose inhaler; tiotropium; beta-agonist; inhaler use; ipratropium
Laxatives: lactulose; macrogol; polyethylene glycol; bowel prep; suppository; stool softener; psyllium; bisacodyl; docusate; laxative use; bowel cleansing
Sickness medicines: antiemetic; ondansetron; metoclopramide; cyclizine; domperidone; anti-nausea; 5-HT3; droperidol; aprepitant; ginger for nausea; antiemetic prophylaxis; granisetron
Antipsychotics: neuroleptic; olanzapine; quetiapine; risperidone; depot injection; aripiprazole; antipsychotic drugs in dementia; chlorpromazine; long-acting injectable; antipsychotic prescribing
Hormone treatment: HRT; MHT; oestrogen; progesterone; hormone therapy; testosterone therapy; vaginal oestrogen; growth hormone; aromatase inhibitor; endocrine therapy; antenatal progesterone; gender-affirming hormones; androgen; hormone replacement; levothyroxine
Iron: ferrous; iron supplementation; intravenous iron; iron tablets; oral iron; ferrous sulphate; iron infusion; ferric
Skin patches: transdermal; fentanyl patch; nicotine patch; rivastigmine patch; lidocaine patch; transdermal patch; nitrate patch; capsaicin patch
Herbal remedies: herbal medicine; phytotherapy; complementary medicine; ginkgo; cranberry; natural products; aloe vera; herbal; traditional medicine; cranberry juice; naturopathy; complementary therapies
Placebo: placebo effect; nocebo; inactive control; sham procedure; placebo control; dummy; placebo response; sham acupuncture
Pill organisers: dosette; multi-compartment compliance aid; blister pack; monitored dosage; medication organiser; adherence packaging; compliance aid; unit dose
Hospitals: acute hospital; tertiary centre; inpatient facility; acute care; secondary care; general hospital; community hospital; district general; psychiatric hospital; acute wards; hospital setting; inpatient ward; medical ward; surgical ward
Intensive care: ICU; critical care; HDU; ITU; PICU; NICU; critical care unit; intensive care environment; high dependency; ICU environment; CCU; neonatal intensive care
Emergency departments: ED; A&E; emergency room; emergency department attendance; frequent attenders; emergency medicine; emergency admissions; trauma centre; urgent care; ED visits; casualty department; acute medical unit; minor injury unit
Operating rooms: operating theatre; theatre efficiency; theatre environment; perioperative environment; intraoperative; operating room traffic; recovery room; PACU
Maternity units: labour ward; delivery suite; obstetric unit; midwife-led unit; antenatal ward; birthing unit; rooming-in
Care homes: nursing home; long-term care facility; LTC; residential aged care; RACF; residential care; nursing home residents; skilled nursing facility; long-term care; aged care; care home residents; retirement village
Home care: domiciliary; home health care; community care; home visit; home-based care; ageing in place; home nursing care; community-based care; in-home services; home help
Primary care: general practice; family medicine; primary health care; PHC; GP practice; community clinic; family practice; ambulatory primary care; general practice consultation
Ambulance services: EMS; prehospital; emergency medical services; ambulance crew; paramedicine; ambulance diversion; out-of-hospital care; ambulance transport; prehospital care; ambulance conveyance
Rural ambulance rotas: rural EMS; volunteer ambulance roster; rural paramedic staffing; volunteer ambulance service; rural ambulance
Rural health services: rural health; remote health; rural hospital; outreach; rural nursing; rural practice; remote nursing; rural clinics; outreach clinic; rural general practice
Rehabilitation: rehab; cardiac rehabilitation; pulmonary rehabilitation; stroke rehabilitation; neurorehabilitation; inpatient rehab; multidisciplinary rehabilitation; geriatric rehabilitation; reablement; physical rehabilitation; early supported rehabilitation; aphasia therapy; rehabilitation nursing; cardiac rehab; mirror therapy; functional recovery; home rehabilitation; rehabilitation outcome
End-of-life care: palliative; palliative care; hospice; terminal care; EOLC; palliative medicine; home death; place of death; last days of life; supportive care; early palliative care; syringe driver at the end of life; euthanasia; assisted suicide; palliative home care; hospice at home; place of care
Patient safety: adverse events; safety culture; harm reduction in hospital; never events; safety climate; patient identification; iatrogenic; preventable harm; safety huddles; wristband identification; medical error harm; patient harm; safety incident
Medicine errors: medication error; prescribing error; dispensing error; administration error; medicines reconciliation; drug error; medication safety; double-checking; medication administration; medication reconciliation; wrong dose error; prescribing mistakes; ADE; dosing error; medication incident; drug round; adverse drug event; drug calculation
Handover: handoff; SBAR; shift report; clinical handover; bedside handover; nursing handover; intershift report; sign-out; transfer of information; patient handoff; bedside shift report; transfer of care communication
Discharge planning: hospital discharge; transitional care; discharge summary; care transitions; delayed discharge; delayed transfers of care; early discharge; discharge readiness; hospital-to-home; discharge against medical advice; transition from hospital; bed-blocking; post-discharge
Care continuity: continuity of care; continuity of carer; relational continuity; seamless care; informational continuity; named nurse; primary nursing; transition to adult services; transition from child to adult services
Waiting time: waiting list; treatment delay; door-to-needle; access time; wait time; surgical backlog; door-to-balloon; length of wait; cancelled operations; surgery cancellations; time to surgery
Staff training: continuing professional development; CPD; in-service; simulation-based education; e-learning; staff education; skills training; training programme for nurses; communication training; nurse education programme; in situ simulation; staff development; simulation training; education of nurses; continuing education; competency; competence; interprofessional education; skills lab; online training; high-fidelity simulation; professional development; clinical skills; team training
Teamwork: interprofessional; collaboration; multidisciplinary team; MDT; crew resource management; team communication; interprofessional collaboration; team performance; team climate; nurse-physician collaboration; huddle; safety huddles; communication among staff; psychological safety
Leadership: nurse leadership; transformational leadership; clinical leadership; nursing management; managerial support; leadership development; authentic leadership; manager support; ward leadership
Costs of care: healthcare costs; expenditure; cost of illness; resource use; direct costs; hospital costs; out-of-pocket; economic burden; health spending; health expenditure; treatment costs
Patient satisfaction: patient experience; PREM; satisfaction with nursing; satisfaction survey; service user satisfaction; care experience; parent satisfaction; satisfaction with care; consumer satisfaction; patient-reported experience; family satisfaction
Quality of life: QoL; HRQoL; life satisfaction; patient-reported outcomes; PROMs; QALY; health status; health-related quality of life; subjective wellbeing
Readmission: rehospitalisation; 30-day readmission; unplanned readmission; hospital readmission; unscheduled return; avoidable admissions; reattendance
Length of stay: LOS; hospital stay; bed days; hospitalisation duration; ICU length of stay; length of hospitalisation; hospital days; duration of admission; inpatient days; prolonged stay
Death rate: mortality; all-cause mortality; 30-day mortality; survival; case fatality; fatality; maternal mortality; infant mortality; hospital mortality; mortality rate; excess deaths; in-hospital death; premature mortality; in-hospital mortality; survival rate
Outpatient clinics: ambulatory clinic; specialist clinic; outpatient department; OPD; follow-up visit; follow-up care; nurse-led clinic; clinic attendance; one-stop clinic; heart failure clinic; outpatient follow-up; outpatient care
Day care: adult day care; day hospital; adult day centre; day services; day hospice
Hospital at home: HaH; acute care at home; early supported discharge; virtual ward; OPAT; admission avoidance; home-based hospital care; outpatient parenteral antibiotic therapy
Respite care: respite; short break; carer respite; respite services; relief care
Out-of-hours care: after-hours; OOH; out-of-hours primary care; night-time care; weekend care; unscheduled care; evening clinics; after-hours care; night service
Telephone advice: telephone triage; teletriage; helpline; telephone follow-up; telephone counselling; nurse telephone line; telephone consultation; phone follow-up; telephone-based; telephone coaching; telephone support; telephone nursing; crisis line; phone consultation
School health services: school-based health; school clinic; school health programme; health promotion in schools; school-based intervention; schools; school vaccination; school first aid
Workplace health services: occupational health service; workplace wellness; workplace health promotion; worksite programme; occupational medicine; occupational health; employee assistance programme; company physician
Prison health services: prison health; correctional health; prison healthcare; jail health; offender health; correctional nursing; nurses in prison
Military health services: military medicine; combat casualty care; army health; field hospital; military hospital; military nursing
Community pharmacies: pharmacy services; retail pharmacy; pharmacy-based; high street pharmacy; pharmacy-led; drug store
Laboratories: pathology; laboratory testing; biochemistry; microbiology; point-of-care testing; urinalysis; urine dipstick; haemolysis; blood sampling; phlebotomy; venepuncture; sample collection; blood culture; full blood count; faecal sample; dipstick; blood specimen; biopsy; biomarkers
Imaging services: radiology; MRI; CT; imaging; radiography; diagnostic imaging; mammogram; echocardiography; chest X-ray; PET-CT; ultrasonography; contrast media; fluoroscopy; angiography; point-of-care ultrasound
Blood banks: blood donation; blood centre; haemobank; vasovagal reaction in donors; plasma donation; donor recruitment
Nursing care: fundamental care; nursing intervention; nursing process; basic nursing; care delivery; nursing practice; evidence-based nursing; nursing diagnosis; bedside nursing; essential nursing care; nursing quality; holistic nursing; nursing outcomes; models of nursing care; team nursing
Hourly rounding: intentional rounding; comfort rounds; nurse rounding; proactive rounding; rounding; ward rounds
Night nursing: night-time nursing care; nursing at night; night shift care; care at night; overnight nursing
Missed care: missed nursing care; care left undone; unfinished care; implicit rationing; care rationing; omissions in care; omitted nursing care; unmet care
Vital signs: early warning score; pulse oximetry; patient monitoring; respiratory rate; observations; track and trigger; rapid response team; failure to rescue; physiological monitoring; body temperature measurement; oxygen saturation; thermometry; clinical deterioration; SpO2; heart rate; medical emergency team; telemetry; early detection of deterioration
Bedside care plans: nursing care plan; individualised care plan; care planning; nursing documentation; goals of care; personalised care plan; person-centred care planning; whiteboard
Advance planning: ACP; advance directive; DNACPR; DNR; living will; treatment limitation; goals of care discussion; do-not-resuscitate; advance decision; end-of-life discussion; withdrawal of life support; end-of-life decisions; surrogate; advance care planning; withholding treatment; life-sustaining treatment; withdrawing life-sustaining treatment; treatment escalation plan
Emergency calls: call to emergency number; ambulance call-out; dispatch calls; calls to the emergency services; emergency number
Ambulance response time: response interval; call-to-arrival time; response time; ambulance delay; time on scene; ambulance arrival time; on-scene time
Patient transport: interfacility transfer; patient transfer; retrieval; non-emergency transport; helicopter transfer; intrahospital transport; transportation; interhospital transfer; transport of critically ill; neonatal transport; medical transport
Triage: emergency severity; acuity; prioritisation; urgency assessment; triage scale; over-triage; acuity level; patient prioritisation
Crowding: overcrowding; ED crowding; boarding; access block; emergency department overcrowding; corridor care; exit block; ambulance ramping; left without being seen; ambulance offload; LWBS
Bed occupancy: bed capacity; bed management; bed block; occupancy; hospital capacity; patient flow; bed availability; bed shortage; inpatient capacity; bed-blocking; surge capacity
Referral: referral rate; specialist referral; gatekeeping; referral pathway; e-referral; onward referral; interprofessional consultation; inappropriate referral; referral letter
Case management: care coordination; patient navigation; case manager; care navigator; nurse navigator; disease management; complex case management; specialist nurse coordination
Integrated care: collaborative care; interface of care; care integration; joint working; shared care; chronic care model; integrated services; hospital–primary care interface; care networks; integrated pathways
Missed appointments: no-show; non-attendance; attendance rate; did not attend; missed visits; broken appointments; clinic non-attendance; non-response to invitation; appointment attendance; default from follow-up
Medical records: EHR; EMR; electronic health record; nursing documentation; charting; health information exchange; patient records; clinical documentation; medical notes; record access; patient portal; clinical coding; record audit; electronic patient record
Electronic prescribing: CPOE; e-prescribing; computerised order entry; electronic medicines administration; barcode administration; bar-code medication; clinical decision support; EPMA; computerised prescribing; electronic medication record
Data protection: confidentiality; privacy; data security; data sharing; information governance; breach of confidentiality; consent for data; patient privacy; cybersecurity
Incident reports: incident reporting; adverse event reporting; error disclosure; safety reporting; root cause analysis; critical incident; open disclosure; duty of candour; error reporting; learning from incidents; reporting culture; sentinel event
Complaints: grievance; litigation; malpractice claims; patient complaint; negligence; legal claims; clinical negligence; medicolegal; complaint handling; compensation claims
Infection control: IPC; infection prevention and control; infection prevention; standard precautions; aseptic technique; antisepsis; decolonisation; surveillance of infection; sterilisation; cross-infection prevention; chlorhexidine bathing; asepsis; infection control nurse; hygiene measures; decontamination of instruments; universal precautions; disinfection; aseptic
Quality improvement: QI; PDSA; service improvement; clinical audit; implementation; implementation science; quality indicators; evidence-based practice; best practice; benchmarking; practice change; quality assurance; accreditation; knowledge translation; practice development; audit and feedback; service redesign; quality of care
Guidelines: clinical guideline; practice guideline; standard; recommendation; guideline adherence; consensus statement; policy document; best practice guidelines; guideline implementation; care standards; clinical protocol
Access to care: accessibility; service availability; healthcare access; barriers to access; unmet need; health service utilisation; access to services; underserved; health service use; equity of access; access to health care; service uptake
Inequality in health: health disparities; socioeconomic; deprivation; health equity; social determinants; poverty; racial disparities; inequality; low-income; socioeconomic status; SES; disadvantaged; food insecurity; income; underprivileged; social class; gender inequality
Language barriers: limited English proficiency; LEP; language discordance; non-native speakers; communication barriers; linguistic; language-concordant care; communication problems
Cultural competence: transcultural; cultural safety; ethnic diversity; culturally tailored; intercultural; transcultural nursing; cultural sensitivity; indigenous; ethnicity; culturally adapted; Aboriginal; diversity; cultural humility; acculturation
Visiting: visitation; visiting policy; open visiting; family presence; visiting restriction; visitor restriction; visiting hours; family-centred visiting; parental presence; rooming-in; flexible visiting; family presence at resuscitation
Volunteering in hospitals: hospital volunteer; befriending; volunteer programme; lay visitors; ward volunteers; volunteer companions
Health insurance: insurance coverage; user fees; co-payment; universal coverage; reimbursement; insurance; health financing; universal health coverage
Health policy: public policy; health reform; regulation; government policy; public health policy; taxation; tobacco control; smoking ban; advocacy; policy making; health systems; minimum pricing; health law; governance
Disaster planning: emergency preparedness; mass casualty; major incident; disaster response; surge; disaster nursing; pandemic preparedness; CBRN; disaster preparedness; terrorism
Hospital food: mealtime assistance; protected mealtimes; catering; feeding assistance; food service; hospital meals; patient meals; nutritional care in hospital; food waste in hospital; food intake in hospital; feeding dependent patients
Study design: methodology; research methods; trial design; observational study; research design; protocol of a study; descriptive study; single-case design; experimental design; methodology of trials
Randomised trials: RCT; randomised controlled trial; randomization; double-blind; placebo-controlled; clinical trial; randomly assigned; controlled clinical trial; random allocation; phase III; parallel group; blinded; double-blind trial; controlled trial; pragmatic trial; allocation concealment; stepped wedge
Quasi-experiments: quasi-experimental; pre-post; interrupted time series; controlled before-and-after; pretest-posttest; non-randomised; non-equivalent control group; uncontrolled trial; difference-in-differences; before-after
Cohort research: longitudinal; prospective; retrospective cohort; follow-up study; incidence study; cohort; prospective cohort; register-based; longitudinal study; panel study; birth cohort; historical cohort; retrospective chart review
Case-control research: case-control; matched pairs; retrospective comparison; nested case-control; odds of exposure; case-crossover
Cross-sectional research: cross-sectional; prevalence; survey study; correlational; descriptive survey; prevalence study; point prevalence; cross-sectional survey; ecological study
Cross-over trials: crossover; AB/BA; within-subject; washout; n-of-1
Cluster trials: cluster randomised; cluster RCT; stepped-wedge; group-randomised; randomised by ward
Pilot studies: feasibility; pilot trial; proof of concept; acceptability and feasibility; feasibility trial; pilot RCT; exploratory trial; preliminary study
Case reports: case series; case study; single case; clinical case; case presentation; n of one
Mixed methods: explanatory sequential; triangulation; convergent design; process evaluation; mixed method study; realist evaluation
Economic evaluation: cost-effectiveness; cost-utility; ICER; QALY; budget impact; health economic evaluation; cost-minimisation; cost-consequence; return on investment; willingness to pay; economic analysis
Measurement studies: psychometric; validity; reliability; inter-rater; diagnostic accuracy; sensitivity and specificity; validation; instrument development; factor analysis; diagnostic test accuracy; intraclass correlation; test-retest; scale development; questionnaire development; agreement; cross-cultural adaptation; responsiveness; accuracy of a device; predictive value; tool development
Qualitative research: phenomenology; grounded theory; thematic analysis; ethnography; content analysis; narrative inquiry; qualitative interview study; hermeneutic; qualitative descriptive; interpretive; lived experience study; discourse analysis; action research; qualitative methods; observation study; ethnographic
Reviews of evidence: systematic review; meta-analysis; scoping review; umbrella review; integrative review; rapid review; literature review; network meta-analysis; evidence synthesis; meta-synthesis; overview of reviews; mapping review; realist review; evidence map
Questionnaires: survey instrument; self-report; scale; inventory; rating scale; PROM; online questionnaire; checklist instrument; self-report questionnaire; instrument; Delphi; Likert
Sleep diaries: consensus sleep diary; sleep record
Sleepiness scales: sleepiness score
Fatigue scales: fatigue severity; fatigue questionnaire; fatigue assessment; multidimensional fatigue; fatigue score; measuring nurse fatigue
Pain scales: VAS; NRS; pain assessment tool; pain rating; visual analogue; pain intensity scale; numerical rating; pain measurement; faces pain; behavioural pain scale; pain tool
Depression scales: depression screening; depression inventory; depression questionnaire
Quality of life scales: HRQoL instrument; quality of life questionnaire
Reaction tests: PVT; psychomotor vigilance task; reaction time test; vigilance task; reaction task; choice reaction
Memory tests: cognitive assessment; neuropsychological test; cognitive screening; cognitive test; digit span; neuropsychological assessment
Walking tests: 6MWT; six-minute walk; TUG; timed up and go; gait speed test; shuttle walk; 10-metre walk test; functional reach; performance battery
Light meters: lux meter; photometer; dosimeter; spectrometer; photosensor; personal light exposure measurement
Hormone measurement: cortisol; saliva sample; hormone assay; urinary cortisol; salivary cortisol; melatonin assay; hormone levels; hair cortisol; catecholamines; hormone concentration; immunoassay
Heart rate recording: ECG; EKG; HRV; Holter; heart rate variability; electrocardiogram; telemetry; heart rate monitor; autonomic function; electrocardiography; pulse rate
Wearable sensors: actigraphy; accelerometer; wearable; activity tracker; inertial sensor; step count; pedometer; fitness band; actigraph; accelerometry
Brain wave recording: polysomnography; PSG; EEG; electroencephalography; electroencephalogram; multiple sleep latency test; neurophysiology; sleep recording; BIS; evoked potentials; MWT
Driving simulators: simulated driving; virtual driving task; driving task; simulator study; lane keeping
Interviews: semi-structured; focus group; in-depth interview; group interview; interview study; telephone interview; interviewing; structured interview
Statistics: regression; sample size; biostatistics; statistical power; modelling; prediction model; meta-regression; risk prediction; confidence interval; data analysis; machine learning models; epidemiology; Bayesian; mathematical model; risk factor analysis; risk factors
Research ethics: informed consent; IRB; ethics committee; research governance; consent to research; ethical review; research participants' rights; proxy consent; assent; consent
Recruitment to studies: participant recruitment; enrolment; trial participation; sampling; recruitment strategy; accrual; participation in trials; trial recruitment; research participation; response rate; volunteers for trials; participation rate
Dropping out of studies: attrition; loss to follow-up; retention in trials; withdrawal; trial retention; participant retention
Patient involvement in research: PPI; patient and public involvement; co-design; co-production; participatory research; service user involvement in research; patient partners; citizen science; user involvement; stakeholder engagement; action research; experience-based co-design
`;

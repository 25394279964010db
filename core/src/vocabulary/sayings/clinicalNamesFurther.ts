/** As `clinicalNames.ts`, of mind, body, treatments, care and research. */
export const CLINICAL_NAMES_FURTHER = `
Mental health conditions: mental disorder; psychiatric disorder; psychopathology; SMI; mental ill health; psychiatric inpatients; common mental disorders; psychiatric wards; neurosis
Depression: MDD; major depression; depressive episode; depressive disorder; dysthymia; antidepressant-resistant; depressive symptoms; late-life depression; unipolar depression; electroconvulsive therapy; ECT
Winter depression: seasonal affective; seasonal affective disorder; winter-pattern depression; seasonality of mood
Depression after birth: PND; postnatal depression; perinatal depression; postpartum mood disorder; maternal depression; puerperal psychosis; baby blues; postpartum blues; perinatal mental health; antenatal depression
Anxiety: GAD; generalised anxiety; anxiety disorder; preoperative anxiety; state anxiety; trait anxiety; anxiety symptoms; health anxiety; test anxiety; anxious
Post-traumatic stress: PTSD; traumatic stress; acute stress disorder; psychological trauma; EMDR; trauma survivors; post-traumatic; intrusive memories; childbirth trauma; complex trauma
Substance use: substance misuse; SUD; addiction; drug misuse; illicit drugs; chemical dependency; amphetamines; drug dependence; injecting drug users; PWID; harm reduction; needle exchange
Alcohol use: alcohol misuse; AUD; alcohol dependence; hazardous drinking; alcohol withdrawal; binge drinking; alcohol abuse; alcohol consumption; delirium tremens
Tobacco use: smoker; nicotine dependence; smoking prevalence; environmental tobacco smoke; smokeless tobacco; maternal smoking; waterpipe
Opioid dependence: OUD; methadone maintenance; buprenorphine; opioid use disorder; opioid addiction; opiate substitution; naloxone kits
Cannabis use: cannabinoid; marijuana; THC; cannabis; cannabidiol; CBD
Gambling: gambling disorder; pathological gambling; problem gamblers; wagering
Vaping: e-cigarette; electronic nicotine; ENDS
Eating problems: anorexia nervosa; bulimia nervosa; binge eating disorder; ARFID; eating disorder; disordered eating; feeding disorder; refeeding; pica; food refusal
Mood: affect; positive affect; negative affect; emotional wellbeing; affective state; irritable mood; mood disturbance; euthymia
Stress: psychological distress; stressor; perceived stress; stress reduction; strain; cortisol response; stress management; distress; psychosocial stress
Work stress: occupational stress; job strain; effort-reward imbalance; job demands; workplace stress; nurse stress; stress in nurses; work-related stress; job demands and resources; occupational distress
Burnout: professional burnout; emotional exhaustion; depersonalisation; nurse burnout; physician burnout; staff burnout; occupational burnout; burnout syndrome
Fatigue: lassitude; tiredness; exhaustion; asthenia; lethargy; energy levels; occupational fatigue; chronic fatigue; chronic fatigue syndrome; fatigue management; nurse fatigue; shift fatigue
Compassion fatigue: secondary trauma; vicarious trauma; secondary traumatic stress; empathy fatigue; compassion satisfaction; emotional labour
Resilience: hardiness; psychological resilience; resilience training; adversity; resilient; post-traumatic growth
Loneliness: social isolation; lonely; social support; companionship; social contact; social networks; isolation in old age; social connectedness; socially isolated
Thinking and attention: cognition; cognitive function; cognitive performance; neurocognitive; cognitive training; cognitive decline; neuropsychological; cognitive impairment; brain training; cognitive ageing
Attention: sustained attention; attentional lapses; concentration; selective attention; attention span; attentional; vigilance decrement
Reaction time: psychomotor vigilance; PVT; response latency; psychomotor speed; reaction speed; response time
Memory: working memory; episodic memory; recall; memory consolidation; declarative; memory impairment; memory training; retention of information
Confusion in illness: delirium; acute confusional state; postoperative delirium; ICU delirium; emergence delirium; hyperactive delirium; POD; sundowning; encephalopathy; delirious; postoperative cognitive dysfunction; agitation; intensive care psychosis
Dementia: Alzheimer; Alzheimer's disease; neurocognitive disorder; vascular dementia; Lewy body; frontotemporal; BPSD; behavioural symptoms of dementia; people living with dementia; dementia care; cognitive decline; wandering; dementia-friendly; young-onset dementia
Mild memory trouble: MCI; mild cognitive impairment; subjective cognitive decline; cognitive impairment no dementia; early cognitive decline; subjective memory complaints
Planning and control: executive function; inhibitory control; cognitive flexibility; self-regulation; impulsivity; executive dysfunction; response inhibition
Language ability: aphasia; language development; verbal fluency; dysphasia; language disorder; word-finding; receptive language; expressive language
Driving ability: fitness to drive; driving performance; driving safety; older drivers; driving cessation; driver impairment; simulated driving performance; lane deviation
Mental workload: cognitive load; interruptions; task switching; multitasking; mental effort; distraction during medication rounds; interruption of nurses
Health behaviour: lifestyle; health promotion; behaviour change; lifestyle intervention; risk behaviours; lifestyle modification; wellness
Physical activity: MVPA; exercise levels; active travel; leisure activity; steps per day; physical inactivity; activity promotion; activity levels; physical exertion; sport participation
Sedentary time: sitting time; sedentary behaviour; prolonged sitting; screen-based sitting; physical inactivity at work; sitting at work
Eating habits: dietary intake; diet quality; nutritional intake; meal timing; dietary pattern; food intake; healthy diet; salt intake; fruit consumption; nutrition; chrononutrition; Mediterranean diet; sugar-sweetened beverages; ketogenic; intermittent fasting; time-restricted eating; school meals
Night eating: nocturnal eating; meals at night; night shift nutrition; night eating syndrome; food at night; eating on night shift; timing of meals on night shift
Breakfast: breakfast skipping; breakfast clubs; morning meal; breakfast consumption
Treatment adherence: medication adherence; non-compliance; concordance; persistence; non-adherence; adherence support; treatment compliance; CPAP compliance; discontinuation of treatment; poor adherence
Help seeking: care-seeking; health-seeking behaviour; consultation behaviour; treatment delay; delay in seeking care; presentation delay
Attitudes: knowledge and attitudes; stance; beliefs; views; KAP survey; attitudes of nurses; ageism
Acceptance of care: acceptability; uptake; refusal; treatment refusal; willingness; engagement; declining treatment; tolerability; take-up
Lived experience: patient narrative; illness experience; phenomenological experience; experiences of living with; patients' experiences; illness narratives; patient perspectives
Self-harm: self-injury; deliberate self-harm; DSH; NSSI; self-mutilation; self-poisoning; non-suicidal self-injury
Suicide: suicidal ideation; suicide prevention; suicidality; completed suicide; suicide risk; attempted suicide; teen suicide
Bipolar swings: bipolar disorder; mania; hypomania; bipolar affective disorder; manic episode
Psychosis: schizophrenia; auditory hallucinations; first-episode psychosis; delusion; psychotic; schizophrenic; early intervention in psychosis; delusional disorder
Obsessions and compulsions: OCD; obsessive-compulsive disorder; compulsion; hoarding disorder; body dysmorphic; skin picking; trichotillomania
Panic: panic disorder; panic attack; agoraphobia; hyperventilation
Fears of things or places: phobia; specific phobia; needle phobia; dental anxiety; dental fear; dental phobia; social phobia; blood-injection-injury phobia; agoraphobia; fear of flying
Autism: ASD; autism spectrum disorder; autistic; neurodevelopmental; neurodivergent; pervasive developmental disorder
Attention and activity problems: ADHD; hyperkinetic disorder; attention deficit hyperactivity disorder; hyperactivity; inattentive; conduct problems; disruptive behaviour
Prolonged grief: complicated bereavement; prolonged grief disorder; persistent complex bereavement; traumatic grief
Adjustment problems: adjustment disorder; life events; maladjustment; stress reaction; acculturation
Personality problems: borderline personality disorder; BPD; antisocial personality; emotionally unstable; DBT; personality disorder
Self-esteem: self-worth; self-concept; self-confidence; self-image; self-perception
Self-efficacy: perceived competence; confidence; perceived self-efficacy; self-confidence in skills; mastery; empowerment; perceived behavioural control
Hope: optimism; hopelessness; positive expectation; positive psychology; meaning in life
Anger: aggression; hostility; irritability; anger management; agitation; temper tantrum; disruptive anger
Fear: fright; fear of recurrence; fear of childbirth; tokophobia; death anxiety; fear of hospital; fear of surgery
Fear of falling: falls efficacy; fall-related anxiety; balance confidence; falls-related psychological concern
Grief: bereavement; mourning; grief counselling; anticipatory grief; perinatal loss; bereavement support
Empathy: compassion; compassionate care; empathic; therapeutic relationship; caring behaviours; emotional intelligence; communication skills of doctors; doctor-patient relationship; nurse-patient relationship
Stigma: stigmatisation; discrimination; prejudice; social stigma; self-stigma; stigmatised; weight bias
Trust: trustworthiness; patient trust; confidence in physicians; mistrust; interpersonal trust
Dignity: dignified care; person-centred care; humanised care; dignity in care; person-centredness; patient-centred care
Spirituality: religiosity; spiritual care; spiritual wellbeing; existential; spiritual needs
Personality: personality traits; neuroticism; big five; temperament; conscientiousness; type A
Coping: coping strategies; adaptation; coping style; stress coping; maladaptive coping; psychological adjustment
Decision making: clinical reasoning; clinical decision; treatment decision; informed choice; preferences; decision support; patient preference; informed consent to treatment; consent to surgery; surrogate decision; diagnostic reasoning
Shared decisions: shared decision-making; SDM; patient participation; patient involvement; patient engagement; collaborative decisions; decision coaching; patient activation; family meetings
Knowledge of health: health literacy; literacy; patient knowledge; health information seeking; readability; comprehension; numeracy; mental health literacy; health communication; public awareness
Body image: body dissatisfaction; appearance concerns; cosmetic; altered appearance; body shape concerns; cosmetic surgery
Screen use: screen time; digital media; smartphone use; mobile phone use; video gaming; problematic internet use; internet gaming; television viewing; electronic devices; smartphone addiction; nomophobia; computer games
Sexual behaviour: sexual activity; sexuality; sexual function; sexual health; condom use; sexual dysfunction; sex education; safe sex; contraception use; sexual relationships; sexual risk
Sun protection: sunscreen; photoprotection; UV protection; sun safety; SPF
Weight control: weight loss; weight management; bariatric surgery; calorie restriction; gastric bypass; sleeve gastrectomy; gestational weight gain; weight reduction; weight maintenance; dieting; semaglutide; orlistat
Fluid intake: hydration; oral fluids; drinking; water intake; fluid balance; fluid restriction; hydration of residents
Self-care: self-management; self-monitoring; patient activation; self-management support; expert patient; self-treatment; self-administration; health coaching
Vaccine hesitancy: vaccine refusal; vaccine acceptance; vaccine confidence; anti-vaccination; vaccination uptake; vaccine misinformation; immunisation uptake
Heart and vessel conditions: cardiovascular; CVD; cardiac disease; valve disease; aortic stenosis; cardiology; cardiometabolic; cardiomyopathy; endocarditis; aneurysm; atherosclerosis; vascular disease; congenital heart disease; rheumatic heart disease; cardiovascular risk; myocarditis; pericarditis
High blood pressure: arterial hypertension; HTN; hypertensive; antihypertensive; resistant hypertension; systolic; raised BP; elevated blood pressure; nocturnal hypertension
Low blood pressure: orthostatic hypotension; postural hypotension; syncope; vasovagal; intraoperative hypotension; fainting; presyncope; POTS
Heart failure: CHF; HFrEF; HFpEF; cardiac decompensation; LVEF; congestive; cardiac insufficiency; left ventricular dysfunction; pulmonary oedema
Heart attack: MI; STEMI; NSTEMI; acute coronary syndrome; ACS; PCI; angioplasty; troponin; thrombolysis; CABG; myocardial infarction; coronary event
Narrowed heart arteries: CAD; angina; IHD; coronary artery disease; ischaemic; ischaemia; coronary bypass; stenting; angina pectoris; coronary heart disease; CHD
Irregular heartbeat: atrial fibrillation; arrhythmia; AF; tachycardia; bradycardia; ablation; SVT; ventricular tachycardia; long QT; heart block; cardioversion
Cardiac arrest: OHCA; out-of-hospital cardiac arrest; in-hospital cardiac arrest; ROSC; asystole; ventricular fibrillation; sudden cardiac death; IHCA
Stroke: CVA; ischaemic stroke; haemorrhagic stroke; TIA; transient ischaemic attack; thrombectomy; hemiplegia; hemiparesis; subarachnoid haemorrhage; stroke survivors; neglect after stroke; cerebral infarction; stroke unit; poststroke
Blood clots: DVT; VTE; venous thromboembolism; thromboprophylaxis; deep vein thrombosis; thrombus; thromboembolism; hypercoagulability; thrombophilia
Lung clots: pulmonary embolism; PE; embolism; pulmonary embolus
Poor leg circulation: peripheral arterial disease; claudication; Raynaud; limb ischaemia; peripheral vascular disease; PVD
Varicose veins: venous insufficiency; varicosities; phlebitis; vein stripping; sclerotherapy; chronic venous disease
Swollen legs: oedema; lymphoedema; peripheral edema; lymphedema; dependent oedema; ankle oedema; ascites
Anaemia: iron deficiency; haemoglobin; IDA; low Hb; pernicious anaemia; anaemic; ferritin; thalassaemia; preoperative anaemia
Lung conditions: respiratory illness; pulmonary disease; lung disease; respiratory failure; bronchiectasis; silicosis; asbestosis; pneumothorax; pleural effusion; bronchiolitis; ARDS; respiratory tract infection; pulmonary; pleurisy; occupational lung disease; pulmonary hypertension
Asthma: bronchospasm; exercise-induced bronchoconstriction; childhood asthma; peak flow; asthma exacerbation; acute asthma
Chronic airway narrowing: COPD; emphysema; chronic bronchitis; COPD exacerbation; airflow obstruction; pulmonary rehab; chronic obstructive; FEV1
Pneumonia: HAP; VAP; community-acquired pneumonia; aspiration pneumonia; ventilator-associated pneumonia; LRTI; bronchopneumonia; lower respiratory tract infection; hospital-acquired pneumonia; pneumococcal
Tuberculosis: TB; MDR-TB; latent tuberculosis; mycobacterium; BCG; directly observed therapy
Breathlessness: dyspnoea; respiratory distress; air hunger; orthopnoea; work of breathing
Cough: chronic cough; pertussis; croup; sputum; expectoration; bronchitis; acute bronchitis
Scarred lungs: pulmonary fibrosis; ILD; IPF; interstitial lung disease; asbestosis; sarcoidosis
Colds: URTI; upper respiratory tract infection; rhinovirus; coryza; rhinitis; common cold
Metabolic conditions: endocrine disorder; metabolic disorder; endocrinology; hormone disorder; phenylketonuria; porphyria; PCOS; adrenal insufficiency; Cushing; acromegaly; inborn errors of metabolism
Diabetes: T2DM; T2D; diabetes mellitus; glycaemic control; HbA1c; hyperglycaemia; type 2; prediabetes; diabetic; glucose control; diabetic ketoacidosis; DKA; glycated haemoglobin; poorly controlled diabetes
Childhood diabetes: T1DM; type 1; juvenile-onset; paediatric diabetes; T1D; insulin-dependent; adolescents with type 1 diabetes
Diabetes of pregnancy: GDM; gestational diabetes; glucose tolerance test; OGTT; macrosomia; gestational hyperglycaemia
Low blood sugar: hypoglycaemia; hypoglycaemic; nocturnal hypoglycaemia; neonatal hypoglycaemia; glucagon; hypoglycaemia unawareness
Obesity: BMI; body mass index; adiposity; overweight; waist circumference; childhood obesity; bariatric; morbid obesity; weight status; excess weight; body fat
Malnutrition: undernutrition; cachexia; nutritional status; malnourished; anorexia of ageing; unintentional weight loss; protein-energy; failure to eat; loss of appetite; nutritional risk; kwashiorkor; wasting; refeeding syndrome; food insecurity
Thyroid problems: hypothyroidism; hyperthyroidism; goitre; thyroxine; levothyroxine; Graves; thyroiditis; TSH; thyroid nodule; thyroid cancer; thyrotoxicosis
Gout: urate; hyperuricaemia; allopurinol; uric acid; podagra; pseudogout; colchicine
High cholesterol: hypercholesterolaemia; dyslipidaemia; LDL; hyperlipidaemia; lipids; triglycerides; familial hypercholesterolaemia; HDL
Metabolic syndrome: insulin resistance; central obesity; prediabetes; impaired glucose tolerance; NAFLD; impaired fasting glucose
Vitamin shortage: vitamin D deficiency; micronutrient deficiency; hypovitaminosis; B12 deficiency; folate deficiency; vitamin D status; vitamin D level; scurvy
Dehydration: fluid depletion; hypovolaemia; volume depletion; electrolyte imbalance; hyponatraemia; hypernatraemia; oral rehydration
Nervous system conditions: neurological; neurodegenerative; neurology; encephalitis; glioma; hydrocephalus; neuropathy; myasthenia gravis; Guillain-Barre; Huntington; cerebral palsy; neurological disorder; dystonia; neuromuscular disease; Tourette; tics; coma
Migraine: cephalalgia; aura; migraine prophylaxis; triptans; chronic migraine; light sensitivity; photophobia
Headache: tension-type headache; cluster headache; cephalgia; post-dural puncture headache; medication overuse headache
Parkinson-like conditions: Parkinson's disease; PD; parkinsonism; bradykinesia; essential tremor; levodopa; rigidity; freezing of gait; deep brain stimulation; dyskinesia
Nerve pain: neuropathic; neuralgia; neuropathic pain; post-herpetic neuralgia; trigeminal neuralgia; gabapentin; pregabalin; allodynia; CRPS; complex regional pain syndrome; sciatica; radiculopathy
Epilepsy: status epilepticus; anticonvulsant; antiepileptic; AED; valproate; febrile seizure; epileptic; SUDEP; carbamazepine; lamotrigine; levetiracetam
Multiple sclerosis: MS; relapsing-remitting; demyelination; RRMS; progressive MS; interferon beta
Brain injury: TBI; traumatic brain injury; concussion; head injury; craniotomy; intracranial pressure; subdural; head trauma; acquired brain injury; post-concussion; intracranial haemorrhage
Spinal cord injury: SCI; paraplegia; tetraplegia; quadriplegia; spinal trauma; autonomic dysreflexia; spinal injury; cauda equina
Dizziness: vertigo; BPPV; vestibular; Meniere; presyncope; labyrinthitis; vestibular rehabilitation
Numb feet: peripheral neuropathy; paraesthesia; diabetic neuropathy; polyneuropathy; chemotherapy-induced peripheral neuropathy; CIPN; sensory loss; loss of protective sensation
Motor nerve wasting: MND; ALS; motor neuron disease; amyotrophic; spinal muscular atrophy; muscular dystrophy; Duchenne
Swallowing problems: dysphagia; aspiration; videofluoroscopy; texture-modified diet; oropharyngeal dysphagia; deglutition; swallow screen; swallowing assessment; odynophagia
Facial palsy: Bell's palsy; facial nerve; facial paralysis; facial weakness
Muscle and joint conditions: musculoskeletal; MSK; orthopaedic; MSD; work-related musculoskeletal disorders; rheumatology; rheumatic disease; scoliosis; myositis; muscle cramps; hypermobility; bursitis; polymyalgia; musculoskeletal pain; soft tissue injury
Back pain: LBP; low back pain; lumbago; lumbar; sciatica; disc herniation; spondylosis; spinal stenosis; nonspecific back pain; back injuries in nurses; lumbar disc; herniated disc
Neck pain: cervicalgia; cervical spine; whiplash; neck disorder; cervical radiculopathy; torticollis
Joint wear: osteoarthritis; OA; degenerative joint disease; hip osteoarthritis; arthrosis; hand osteoarthritis
Knee joint wear: knee osteoarthritis; gonarthrosis; knee OA; meniscus; meniscal tear; patellofemoral
Inflamed joints: rheumatoid arthritis; RA; psoriatic arthritis; ankylosing spondylitis; arthritis; juvenile arthritis; inflammatory arthritis; methotrexate; rheumatoid; SLE; gouty; septic arthritis; biologics; spondyloarthritis; autoimmune disease; juvenile idiopathic arthritis
Hip fracture: NOF; proximal femoral fracture; femoral neck fracture; hemiarthroplasty; orthogeriatric; femur fracture; fragility hip fracture; fractured neck of femur
Broken bones: fracture; fractured; rib fracture; fracture healing; vertebral fracture; femur fracture; external fixation; clavicle; pelvic fracture; fracture fixation; tibia; humerus; fragility fracture; nonunion
Wrist fracture: distal radius fracture; Colles; scaphoid; forearm fracture
Brittle bones: osteoporosis; osteopenia; BMD; bone mineral density; bisphosphonate; DEXA; alendronate; bone loss; osteoporotic; bone health; bone density; denosumab; kyphosis
Muscle loss: sarcopenia; muscle atrophy; muscle mass; disuse atrophy; lean mass; muscle wasting; sarcopenic
Shoulder pain: rotator cuff; adhesive capsulitis; frozen shoulder; subacromial; shoulder impingement; hemiplegic shoulder; shoulder dislocation
Wrist nerve pinch: carpal tunnel; CTS; median nerve; entrapment neuropathy; ulnar nerve
Tendon pain: tendinopathy; tendinitis; epicondylitis; Achilles; plantar fasciitis; RSI; repetitive strain injury; tenosynovitis; de Quervain
Widespread muscle pain: fibromyalgia; myalgia; FMS; myofascial; chronic widespread pain; muscle soreness
Amputation: amputee; limb loss; below-knee amputation; transtibial; stump care; lower limb amputation
Foot problems: hallux valgus; bunion; plantar; podiatric; onychomycosis; ingrown nail; foot deformity; metatarsalgia; foot disorder; heel pain; older people's feet; callus; tinea pedis
Wounds: chronic wounds; laceration; hard-to-heal wounds; traumatic wounds; wound management; non-healing wounds; debridement; maggot; larval therapy; skin graft; pilonidal; biofilm; wound assessment; tissue viability; exudate
Pressure ulcers: pressure injury; PU; HAPU; decubitus ulcer; bedsore; pressure sore; heel ulcer; sacral ulcer; pressure area care; device-related pressure injury; pressure damage; ulcer prevention in bed; deep tissue injury; bed sore prevention; pressure injury prevention
Leg ulcers: VLU; venous ulcer; lower limb ulceration; ulcus cruris; venous leg ulcer; arterial ulcer; leg ulceration
Diabetic foot ulcers: DFU; diabetic foot; foot ulceration; neuropathic ulcer; Charcot foot; diabetic foot infection; offloading
Surgical wounds: surgical incision; wound dehiscence; sternal wound; wound closure; sternotomy; laparotomy wound; incisional; drain site; caesarean wound; donor site; postoperative wound
Surgical wound infection: SSI; surgical site infection; postoperative infection; sternal wound infection; deep wound infection; mediastinitis; prosthetic joint infection; postoperative wound infection
Wound infection: infected wound; wound sepsis; bacterial colonisation; gangrene; malodorous wound; infected ulcer; necrotising fasciitis; osteomyelitis
Burns: burn injury; thermal burn; TBSA; chemical burn; inhalation injury; skin graft; burn unit; electrical burn; partial-thickness; scald injury
Scalds in children: paediatric burns; paediatric scald; childhood scald; hot beverage burns
Skin tears: skin fragility; skin laceration in elderly; epidermal tear; medical adhesive-related skin injury; MARSI
Skin damage from moisture: MASD; incontinence-associated dermatitis; IAD; diaper dermatitis; intertrigo; maceration; moisture lesion; nappy rash; napkin dermatitis; peristomal skin
Bites: bite wound; snakebite; envenomation; dog bite; tick bite; insect sting; rabies; antivenom; Lyme; Lyme disease; scorpion
Scars: hypertrophic scar; keloid; cicatrix; scar formation; scar management; striae
Infections: infectious disease; bacterial infection; viral infection; fungal infection; communicable disease; herpes zoster; varicella; RSV; Ebola; dengue; zoonosis; COVID-19; SARS-CoV-2; mononucleosis; candida; infected; infectious; meningococcal; typhoid; diphtheria; tetanus; polio; CMV; leprosy; Zika
Care-related infections: nosocomial; healthcare-associated infection; HCAI; hospital-acquired infection; hospital-acquired pneumonia; cross-infection; ventilator-associated
Catheter infections: CAUTI; CLABSI; CRBSI; line sepsis; catheter-related bloodstream infection; bacteraemia; device-associated infection; phlebitis
Blood poisoning: sepsis; septic shock; septicaemia; neonatal sepsis; SIRS; bacteraemia; bloodstream infection; maternal sepsis
Urinary infections: UTI; cystitis; pyelonephritis; bacteriuria; urinary tract; asymptomatic bacteriuria; dysuria; urinary sepsis; recurrent UTI; haematuria
Influenza: flu; H1N1; seasonal flu; influenza-like illness; avian influenza; oseltamivir; ILI
Stomach bugs: gastroenteritis; norovirus; rotavirus; food-borne illness; campylobacter; infectious diarrhoea; E. coli; food poisoning; diarrhoea and vomiting in children; diarrhoeal disease
Malaria: plasmodium; antimalarial; insecticide-treated nets; falciparum; artemisinin
HIV: PrEP; HAART; PLWH; people living with HIV; seropositive; CD4; HIV-positive
Hepatitis: HBV; HCV; viral hepatitis; hepatitis C; hepatitis B; hepatitis A
Measles: MMR; morbilli; measles vaccination; rubeola
Resistant bacteria: AMR; MRSA; antimicrobial resistance; VRE; ESBL; CPE; multidrug-resistant; MDRO; antibiotic-resistant; carbapenem-resistant
Bowel infection after antibiotics: CDI; Clostridioides; Clostridium difficile; C. difficile; antibiotic-associated diarrhoea; pseudomembranous; faecal transplant; faecal microbiota transplantation
Eye infections: conjunctivitis; keratitis; blepharitis; trachoma; uveitis; endophthalmitis; ophthalmia
Ear infections: otitis media; AOM; glue ear; otitis externa; mastoiditis; OME
Sore throat: tonsillitis; pharyngitis; tonsillectomy; streptococcal pharyngitis; laryngitis; strep; postoperative sore throat; peritonsillar; adenoids
Skin infections: cellulitis; impetigo; tinea; fungal skin infection; herpes; herpes zoster; erysipelas; folliculitis; molluscum; shingles
Worms and parasites: helminth; parasitic infection; pediculosis; schistosomiasis; toxoplasmosis; deworming; ascaris; giardia; leishmaniasis; hookworm
Sexual infections: STI; STD; chlamydia; HPV; genital herpes; genitourinary medicine; bacterial vaginosis; candidiasis; partner notification; human papillomavirus; trichomonas
Outbreaks: epidemic; pandemic; COVID-19; SARS; outbreak investigation; epidemiological surveillance; emerging infection; Ebola; cluster of cases
Fever: pyrexia; febrile; hyperthermia; antipyretic; febrile neutropenia; febrile convulsion; hyperpyrexia; febrile child; paracetamol for fever; body temperature
Pain: analgesia; nociception; acute pain; pain management; pain intensity; pain control; pain relief; pain severity; hyperalgesia
Pain in children: paediatric pain; procedural pain in neonates; infant pain; heel lance; neonatal pain; immunisation pain; pain in neonates
Pain after surgery: postoperative pain; post-op pain; postoperative analgesia; persistent postsurgical pain; PCA; patient-controlled analgesia; chronic post-surgical pain; early postoperative pain
Labour pain: labour analgesia; epidural analgesia; nitrous oxide; labour epidural; pain during labour; pain during childbirth; intrapartum analgesia; hypnobirthing; TENS in labour
Lasting pain: chronic pain; persistent pain; chronic non-cancer pain; long-term pain; refractory pain; pain syndrome; central sensitisation
Cancer pain: malignant pain; oncologic pain; breakthrough pain; bone metastases pain; cancer-related pain
Period pain: dysmenorrhoea; menstrual cramps; premenstrual; PMS; endometriosis; endometriosis pain; menstrual pain
Phantom pain: phantom limb pain; stump pain; post-amputation pain; PLP; phantom sensation; mirror therapy; residual limb pain
Procedure pain: procedural pain; venepuncture pain; lumbar puncture; biopsy pain; cannulation pain; needle pain; injection pain; dressing change pain; vaccination pain; IUD insertion pain; arterial puncture; venipuncture; chest drain removal
Toothache: odontalgia; dental pain; pulpitis; orofacial pain; temporomandibular; TMD; dental abscess; third molar
`;

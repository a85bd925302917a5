/** Given names that are frequent somewhere, without accents and in lower case: they tell which of two columns of single words holds the given names. */
const lists = [
  'oliver amelia jack isla noah ava harry mia leo freya charlotte henry grace arthur poppy thomas ella william ruby joshua molly samuel evie ethan emily george olivia jacob jessica james sophie alfie lily charlie daisy oscar max daniel lucy adam hannah ben rebecca matthew megan luke chloe ryan katie nathan holly liam zara aaron phoebe alex alice edward rosie dylan eleanor harriet matilda erin abigail isaac sebastian toby finley archie theo logan mason lucas elijah michael sarah david anna peter mary john jane robert elizabeth paul susan mark karen andrew ann stephen laura kevin emma brian julia simon helen martin claire philip diana ian rachel neil naomi',
  'lukas jonas leon finn jurgen kathe maximilian felix lea bjorn clara moritz luisa greta emil frieda lena marie johanna elias ben paula tim lina jan sarah nico lara jannik leonie niklas amelie fabian nele florian pia dominik mathilda anton ida karl friederike hans ursula gunther monika klaus sabine heike uwe',
  'hugo louis manon jules camille gabriel zoe ines raphael elise noemie margaux anais mael clemence romain lucie antoine juliette baptiste pauline mathilde maxime nathan enzo lou rose ethan jade sacha lola nina tom agathe victor pierre jean michel francoise nathalie sylvie benoit celine',
  'lucia mateo sofia martina pablo maria diego carmen alvaro elena javier valeria manuel irene raul oscar alba gonzalo jose luis ana jesus isabel carlos marta juan laura sergio cristina miguel paula alejandro daniela ivan claudia adrian natalia jorge rocio marcos nuria antonio francisco teresa rosa pilar lucas julia andres iker',
  'giulia leonardo francesco aurora lorenzo ginevra andrea chiara gabriele riccardo giorgia davide elisa tommaso beatrice nicolo pietro camilla niccolo matteo edoardo mattia alessandro giuseppe giovanni marco luca simone federica silvia valentina sara stefano paola',
  'daan sanne bram lotte sem fleur thijs noor lars femke jesse roos milan anouk gijs iris ruben maud stijn eva koen sofie jasper lieke levi tess finn saar luuk fenna joost marieke pieter johanna willem',
  'zuzanna jakub maja antoni lucja szymon zofia hanna stanislaw oliwia wojciech alicja mikolaj malgorzata franciszek agnieszka piotr michal katarzyna tomasz kacper ewa krzysztof barbara andrzej magdalena pawel joanna marcin monika jan filip natalia aleksander wiktoria igor',
  'hugo asa lucas liam vera elias ebba wilma axel astrid linnea gustav sigrid nils elsa erik saga olle mans alma william selma alfred signe ingrid karin lars anders britta soren emil karla valdemar malthe agnes august mads mette rasmus mikkel kirsten jens ole knut hakon ingeborg solveig',
  'aino eino helmi vaino onni lumi leevi eevi venla paivi toivo iida juho matti liisa pekka tuula juhani helena mikko anni ville sanni',
  'zeynep yusuf elif mehmet ayse emir defne mustafa ecrin omer hiranur kerem busra caglar seyma berkay nisa eren irem umut gokce baris ebru oguz ali fatma ahmet hatice emine murat hasan huseyin can deniz selin',
  'joao leonor matilde santiago carolina afonso duarte mariana tomas martim rodrigo joana vicente goncalo margarida salvador benedita simao pedro ines tiago rita luis ricardo catarina',
  'eliska tereza matej adela ondrej anezka vojtech katerina stepan natalie tomas barbora lukas zofie jiri klara dominik lucie filip marketa vaclav veronika simon petr jana pavel lenka honza josef martin',
  'bence mate zsofia levente marcell lili nora gergo reka zsombor istvan katalin laszlo zoltan balazs dora attila adam luca kinga agnes peter gabor eszter',
  'andrei stefan ioana alexandru matei daria vlad bianca tudor razvan ilinca mihai ion gheorghe cristian florin luka ivan lucija ema jakov nika petar ana lana toma tena sime zeljka marko ivana josip marija nikola stipe',
  'александр мария михаил анна иван софия артем дарья дмитрий ксения егор полина никита алиса роман виктория олександр софія максим дмитро вікторія єва іван марія назар злата богдан соломія тимофій їванна сергеи елена ольга наталья татьяна андреи павел екатерина',
  'γεωργιος μαρια κωνσταντινος ελενη ιωαννης αικατερινη δημητριος σοφια νικολαος αναστασια παναγιωτης ιωαννα χρηστος αννα βασιλης ειρηνη κωστας δημητρης γιωργος νικος',
  'محمد فاطمة احمد مريم علي زينب عمر نور يوسف ليلى خالد سارة ابراهيم هدى حسن امنة أحمد إبراهيم آمنة נועם תמר דוד שרה יוסף נועה איתי מאיה אריאל יעל אורי שירה עומר הילה דניאל אדל משה רחל',
  'आरव अनन्या विवान दीया आदित्य सानवी अर्जुन ईशा रोहन काव्या करण नेहा राहुल पूजा अमित रिया aarav ananya vivaan diya aditya arjun isha rohan kavya rahul pooja amit priya ravi sunita',
  'budi siti agus dewi rizki putri dimas ayu bayu indah fajar ratna wahyu lestari hendra kartika muhammad nur ahmad amani neema juma zawadi baraka rehema jabari asha kwame ama kofi abena chidi ngozi emeka adaeze mohammed fatima aisha ibrahim omar yusuf hassan maryam zainab',
  'aoife conor saoirse cillian roisin oisin caoimhe darragh niamh fionn eabha tadhg siobhan rory clodagh donnacha sean sinead cian orla padraig maire',
];
const known = new Set(lists.flatMap((list) => list.split(' ')));

/** @param key a word without accents, in lower case */
export function isFrequentGivenName(key: string): boolean {
  return known.has(key);
}

// Made-up people: names that are usual where a table comes from, put together at random. "given / family / middle".
export const pools = {
  en: [
    'Oliver Amelia Jack Isla Noah Ava Harriet Mia Leo Freya Charlotte Henry Grace Arthur Poppy Thomas Ella William Ruby Joshua Molly Samuel Evie Ethan',
    'Smith Hargreave O’Neill Whitlock Pemberton Ashdown Barker Coldwell Drayton Fairley Gorse Holloway Ingleby Kershaw Lockwood Marsden Norcott Ottley Prior Rushton Stanway Tindall Upton Wakefield',
    'Rose James May John Grace Lee Ann Peter',
  ],
  de: [
    'Lukas Emma Jonas Mia Leon Hannah Finn Lena Paul Jürgen Käthe Sophie Maximilian Anna Felix Lea Björn Clara Moritz Luisa Noah Greta Emil Frieda',
    'Müller Schäfer Hoffmann Köhler Weiß Brandt Lindner Vogt Zimmermann Krüger Böhm Jäger Ostermann Reuter Seidel Thiele Ullrich Winkler Dietz Franke Großmann Heller Kessler Nowack',
    'Maria Karl Luise Josef Sophie Johann',
  ],
  fr: [
    'Léa Hugo Chloé Louis Manon Jules Camille Gabriel Zoé Arthur Inès Raphaël Élise Noémie Théo Margaux Anaïs Maël Clémence Romain Lucie Antoine Juliette Baptiste',
    'Lefèvre Martin Bernard Dubois Rousseau Moreau Girard Fournier Mercier Chevalier Garnier Faure Blanchet Perrin Gauthier Lemaître Béranger Delattre Guérin Marchand Noël Poirier Renaud Vasseur',
    'Marie Jean Anne Pierre Rose Paul',
  ],
  es: [
    'Lucía Mateo Sofía Hugo Martina Pablo María Diego Carmen Álvaro Elena Javier Paula Iker Julia Andrés Valeria Manuel Irene Raúl Inés Óscar Alba Gonzalo',
    'García López Martínez Sánchez Pérez Gómez Ruiz Hernández Díaz Moreno Muñoz Álvarez Romero Navarro Torres Domínguez Vázquez Ramos Gil Serrano Blanco Molina Ortega Delgado',
    'José María Luis Ana Jesús Isabel',
  ],
  it: [
    'Giulia Leonardo Sofia Francesco Aurora Lorenzo Alice Matteo Ginevra Andrea Chiara Gabriele Martina Riccardo Giorgia Davide Elisa Tommaso Beatrice Nicolò Irene Pietro Camilla Niccolò',
    'Rossi Ferrari Esposito Bianchi Romano Colombo Ricci Marino Greco Bruno Gallo Conti Mancini Costa Giordano Rizzo Lombardi Moretti Barbieri Fontana Santoro Mariani Rinaldi Caruso',
    'Maria Anna Luca Rosa Carlo Teresa',
  ],
  nl: [
    'Daan Sanne Bram Lotte Sem Fleur Thijs Noor Lars Femke Jesse Roos Milan Anouk Gijs Iris Ruben Maud Stijn Eva Koen Sofie Jasper Lieke',
    'Jansen Bakker Visser Smit Meijer Mulder Bos Vos Peters Hendriks Dekker Brouwer Dijkstra Kok Jacobs Vermeulen Koster Schouten Willems Hoekstra Postma Kuipers Veenstra Prins',
    'Maria Johan Anna Hendrik Pieter Elisabeth',
  ],
  pl: [
    'Zuzanna Jakub Maja Antoni Łucja Szymon Zofia Jan Hanna Stanisław Oliwia Wojciech Alicja Mikołaj Małgorzata Franciszek Agnieszka Piotr Lena Michał Katarzyna Tomasz Amelia Kacper',
    'Nowak Kowalska Wiśniewski Wójcik Kamińska Lewandowski Zielińska Szymański Woźniak Dąbrowska Kozłowski Jankowska Mazur Krawczyk Piotrowska Grabowski Pawłowska Michalski Król Wieczorek Jabłońska Wróbel Majewski Olszewska',
    'Maria Jan Anna Piotr Ewa Adam',
  ],
  sv: [
    'Alice Hugo Åsa Lucas Maja Liam Vera Elias Ebba Oscar Wilma Axel Astrid Björn Linnéa Gustav Sigrid Nils Elsa Erik Saga Olle Freja Måns',
    'Andersson Johansson Karlsson Nilsson Lindqvist Lundgren Berglund Sjöberg Åkesson Öberg Wallin Engström Hedlund Nyström Strand Ekström Dahlberg Norén Forsberg Holmgren Blom Sandström Viklund Hägg',
    'Maria Erik Anna Karl Birgitta Olof',
  ],
  tr: [
    'Zeynep Yusuf Elif Mehmet Ayşe Emir Defne Mustafa Ecrin Ömer Hiranur Kerem Büşra Çağlar Şeyma Berkay Nisa Eren İrem Umut Gökçe Barış Ebru Oğuz',
    'Yılmaz Kaya Demir Şahin Çelik Yıldız Öztürk Aydın Arslan Doğan Kılıç Aslan Çetin Kara Koç Kurt Özdemir Şimşek Polat Güneş Aksoy Bulut Ünal Toprak',
    'Nur Can Su Efe Naz Ali',
  ],
  pt: [
    'Maria João Leonor Francisco Matilde Santiago Carolina Afonso Beatriz Duarte Mariana Tomás Inês Martim Lara Rodrigo Joana Vicente Íris Gonçalo Margarida Salvador Benedita Simão',
    'Silva Santos Ferreira Pereira Oliveira Costa Rodrigues Martins Fernandes Gonçalves Gomes Lopes Marques Almeida Ribeiro Pinto Carvalho Teixeira Moreira Correia Mendes Nunes Cardoso Assunção',
    'José Ana Luís Teresa Pedro Clara',
  ],
  cs: [
    'Eliška Jakub Tereza Matěj Adéla Ondřej Anežka Vojtěch Kateřina Štěpán Natálie Tomáš Barbora Lukáš Žofie Jiří Klára Dominik Lucie Filip Markéta Václav Veronika Šimon',
    'Novák Svobodová Dvořák Černá Procházka Kučerová Veselý Horáková Němec Marková Pokorný Pospíšilová Hájek Jelínková Král Růžičková Beneš Fialová Sedláček Doležalová Zeman Kolářová Navrátil Čermáková',
    'Jan Marie Josef Anna Karel Eva',
  ],
  da: [
    'Freja William Søren Ida Emil Alma Noah Karla Oscar Clara Valdemar Ella Malthe Agnes August Maja',
    'Jensen Nielsen Hansen Sørensen Rasmussen Kjær Møller Østergaard Thomsen Lund Holm Bjerre Nørgaard Krogh Skov Dahl',
    'Marie Peter Anne Jens',
  ],
  fi: [
    'Aino Eino Helmi Väinö Sofia Onni Lumi Leevi Eevi Oliver Venla Elias Päivi Toivo Iida Juho',
    'Korhonen Virtanen Mäkinen Nieminen Mäkelä Hämäläinen Laine Heikkinen Koskinen Järvinen Lehtonen Lehtinen Saarinen Salminen Heinonen Niemi',
    'Maria Juhani Helena Olavi',
  ],
  hu: [
    'Anna Bence Hanna Máté Zsófia Levente Luca Dominik Emma Marcell Lili Ádám Nóra Gergő Réka Zsombor',
    'Nagy Kovács Tóth Szabó Horváth Varga Kiss Molnár Németh Farkas Balogh Papp Takács Juhász Lakatos Mészáros',
    'Mária István Éva Péter',
  ],
  ro: [
    'Andrei Maria Ștefan Ioana Alexandru Ana Matei Elena Luca Daria Vlad Bianca Tudor Sofia Răzvan Ilinca',
    'Popescu Ionescu Popa Radu Dumitru Stan Stoica Gheorghe Rusu Munteanu Moldovan Șerban Țurcanu Diaconu Lazăr Neagu',
    'Ion Maria Vasile Elena',
  ],
  hr: [
    'Luka Mia Ivan Lucija David Ema Jakov Nika Petar Ana Filip Lana Toma Tena Šime Željka',
    'Horvat Kovačević Babić Marić Jurić Novak Kovačić Knežević Vuković Marković Petrović Matić Tomić Pavlović Božić Šimić',
    'Marija Josip Ana Ante',
  ],
  ru: [
    'Александр Мария Михаил Анна Иван София Артём Дарья Дмитрий Ксения Егор Полина Никита Алиса Роман Виктория',
    'Иванов Смирнова Кузнецов Попова Соколов Лебедева Козлов Новикова Морозов Петрова Волков Соловьёва Васильев Зайцева Павлов Семёнова',
    'Александрович Сергеевна Иванович Андреевна Дмитриевич Павловна',
  ],
  uk: [
    'Олександр Софія Максим Анна Дмитро Вікторія Артем Єва Іван Марія Назар Злата Богдан Соломія Тимофій Їванна',
    'Шевченко Коваленко Бондаренко Ткаченко Кравченко Олійник Шевчук Коваль Поліщук Бондар Ткачук Мороз Марченко Лисенко Руденко Савченко',
    'Олександрович Іванівна Петрович Сергіївна',
  ],
  el: [
    'Γεώργιος Μαρία Κωνσταντίνος Ελένη Ιωάννης Αικατερίνη Δημήτριος Σοφία Νικόλαος Αναστασία Παναγιώτης Ιωάννα Χρήστος Άννα Βασίλης Ειρήνη',
    'Παπαδόπουλος Παππάς Καραγιάννη Βλάχος Ιωαννίδης Οικονόμου Παπαγεωργίου Μακρή Κωνσταντινίδης Δημόπουλος Γεωργίου Αθανασίου Νικολάου Αλεξίου Χατζή Σταματίου',
    'Μαρία Πέτρος Άννα Παύλος',
  ],
  ar: [
    'محمد فاطمة أحمد مريم علي زينب عمر نور يوسف ليلى خالد سارة إبراهيم هدى حسن آمنة',
    'الأحمد العلي الحسن النجار الخطيب الشامي العمري الزهراني القحطاني المصري حداد صالح منصور ناصر السيد الفارس',
    'محمود عبدالله سعيد حسين',
  ],
  he: [
    'נועם תמר דוד שרה יוסף נועה איתי מאיה אריאל יעל אורי שירה עומר הילה דניאל אדל',
    'כהן לוי מזרחי פרץ ביטון דהן אברהם פרידמן מלכה אזולאי כץ יוסף דוד עמר אוחיון חדד',
    'משה רחל יעקב לאה',
  ],
  hi: [
    'आरव अनन्या विवान दीया आदित्य सानवी अर्जुन ईशा रोहन काव्या करण नेहा राहुल पूजा अमित रिया',
    'शर्मा वर्मा गुप्ता सिंह कुमार यादव मिश्रा पटेल जोशी चौहान नायर रेड्डी मेहता त्रिपाठी अग्रवाल पांडे',
    'कुमार देवी प्रसाद रानी',
  ],
  zh: [
    '伟 芳 娜 敏 静 丽 强 磊 洋 艳 子轩 梓涵 浩然 欣怡 宇航 诗涵',
    '王 李 张 刘 陈 杨 黄 赵 周 吴 徐 孙 马 朱 胡 林',
    '文 明 海 春',
  ],
  ja: [
    '陽菜 蓮 結衣 翔太 さくら 大翔 美咲 悠斗 葵 颯太 凛 健太 莉子 拓海 愛 直樹',
    '佐藤 鈴木 高橋 田中 渡辺 伊藤 山本 中村 小林 加藤 吉田 山田 佐々木 山口 松本 井上',
    '一 美 太 子',
  ],
  ko: [
    '민준 서연 도윤 서윤 예준 지우 시우 하윤 주원 지유 지호 수아 건우 하은 우진 다은',
    '김 이 박 최 정 강 조 윤 장 임 한 오 서 신 권 황',
    '수 현 영 호',
  ],
  vi: [
    'Anh Minh Linh Nam Trang Huy Thảo Đức Hương Tuấn Mai Dũng Lan Khoa Ngọc Phúc',
    'Nguyễn Trần Lê Phạm Hoàng Huỳnh Phan Vũ Võ Đặng Bùi Đỗ Hồ Ngô Dương Lý',
    'Thị Văn Hữu Đình Thanh Quốc',
  ],
  id: [
    'Budi Siti Agus Dewi Rizki Putri Dimas Ayu Bayu Indah Fajar Ratna Wahyu Lestari Hendra Kartika',
    'Santoso Wijaya Saputra Hidayat Nugroho Pratama Setiawan Kusuma Gunawan Rahman Susanto Hartono Wibowo Siregar Lubis Harahap',
    'Nur Eka Dwi Tri',
  ],
  sw: [
    'Amani Neema Juma Zawadi Baraka Rehema Jabari Asha Kwame Ama Kofi Abena Chidi Ngozi Emeka Adaeze',
    'Mwangi Otieno Kamau Wanjiru Njoroge Achieng Kiprop Mutua Mensah Owusu Boateng Asante Okafor Eze Nwosu Adeyemi',
    'Grace Peter Joy David',
  ],
  ga: [
    'Aoife Conor Saoirse Cillian Róisín Oisín Caoimhe Darragh Niamh Fionn Éabha Tadhg Siobhán Rory Clodagh Donnacha',
    'Murphy Ó Briain Kelly Ní Dhomhnaill Walsh Mac Cárthaigh Byrne Ryan Doyle Ó Súilleabháin Gallagher Doherty Kennedy Lynch Ní Mhurchú Quinn',
    'Máire Seán Bríd Pól',
  ],
};
// Families of two words are one: "Ó Briain".
const joined = /\b(Ó|Ní|Mac) /g;

export function poolOf(name) {
  const [given, family, middle] = pools[name];
  return {
    given: given.split(' '),
    family: family
      .replace(joined, '$1_')
      .split(' ')
      .map((word) => word.replace('_', ' ')),
    middle: middle.split(' '),
  };
}

/** Names and plain words of languages whose letters old text encodings hold: from them, likely letters and neighbours are counted. */
export const sampleWords = {
  french:
    'André Céline Chloé Clémence Didier Émile Étienne Eugénie François Geneviève Gérard Hélène Inès Irène Jérôme Joël Léa Léon Loïc Maël Mélanie Noël Noémie Océane Raphaël Régis Rémi René Renée Sébastien Solène Stéphane Thérèse Valérie Véronique Zoé Aurélie Agnès Anaïs Andréa Barthélemy Bérénice Lemaître Crépin Béranger Dupré Hébert Gaëlle Legrès Mérieux Pélissier Sévérine Thévenot Barrière Forêt Élève Prénom Référence Garçon Fête Île Mère Père Frère Sœur Cœur Bœuf Nîmes Besançon Orléans Hôpital',
  german:
    'Jörg Jürgen Günter Günther Käthe Bärbel Björn Ömer Änne Müller Schäfer Köhler Krüger Schröder Bräuer Kühn Böhm Jäger Förster Grün Größmann Weiß Groß Strauß Voß Preuß Kaiß Nüßlein Löwe Schön Köster Möller Münch Lütz Bäcker Fürst Hübner Stöhr Träger Völker Wörner Zäpfel Übel Öttinger Ärmel Schüler Schülerin Straße Grüße Fräulein Höhe Tür Kälte Größe',
  spanish:
    'Adrián Álvaro Andrés Ángel Ángela Belén Benjamín César Cristóbal Efraín Elías Fermín Germán Héctor Íñigo Iván Jesús Joaquín José Julián Lucía Martín Mónica Nicolás Óscar Raúl Ramón Rocío Rubén Sebastián Sofía Tomás Úrsula Verónica Víctor Álvarez Báez Benítez Castañeda Díaz Domínguez Fernández García Gómez González Gutiérrez Hernández Ibáñez Jiménez López Martínez Méndez Muñoz Núñez Ordóñez Peña Pérez Ramírez Rodríguez Sánchez Suárez Vázquez Yáñez Zúñiga Año Niño Niña Señor',
  portuguese:
    'João Simão Tomé Inês Conceição Assunção Antônio António Fábio Flávia Glória Lívia Márcio Mônica Otávio Patrícia Sérgio Sônia Vinícius Vitória Zélia Estêvão Damião Sebastião Luís Luísa Mário Júlia Cláudia Cecília Araújo Brandão Calçada Galvão Gonçalves Guimarães Leitão Magalhães Mendonça Negrão Brasão Corrêa Mourão Proença Assis Açores Irmã Manhã Coração Lições Mães',
  italian:
    'Niccolò Nicolò Mosè Noè Giosuè Barnabà Gesù Città Età Università Perché Virtù Così Lunedì Papà Caffè Libertà Verità Bontà Felicità Carità',
  nordic:
    'Jørgen Bjørn Bjørg Åge Åse Åsa Pål Håkon Ørjan Øyvind Øystein Mårten Gøran Jørn Løvås Sørensen Jørgensen Mørk Mikkjær Kjær Kjærgaard Nørgaard Møller Høj Østergaard Sæther Bæk Bækkelund Grønvold Bråten Årdal Åberg Ågren Hægeland Hårstad Sjöberg Björn Göran Sören Jönsson Bergström Sjögren Öberg Ölund Östlund Håkansson Åkesson Älv Ärla Märta Pär Märit Örjan Väinö Päivi Jääskeläinen Hämäläinen Mäkelä Mäkinen Nieminen Töyrylä Hyvönen Räsänen Väisänen Ærø Ræder',
  icelandic:
    'Þóra Þórður Þorsteinn Guðrún Guðmundur Sigurður Ragnheiður Jóhann Jóhanna Björk Ólafur Óskar Páll Pétur Kári Kristín Hjördís Ásdís Ásta Íris Úlfur Ævar Æsa Örn Ögmundur Brynjólfur Eyþór Hálfdán Jón Jónsdóttir Guðmundsdóttir Einarsdóttir Stefánsson Þórsson Davíð Elín Sólveig Fróði Heðin',
  dutch:
    'Noëlle Daniëlle Joëlle Chloë Gaël Raphaël Michaël Israël Daniël Mariëlle Coördinatie België Geïnd Reünie André René Renée Désirée',
  catalan:
    'Núria Mercè Montserrat Lluís Àlex Àngela Òscar Òria Joaquim Martí Agustí Ramón Farré Puigdomènech Gràcia Françesc Xènia Solé Bartomeu Julià Adrià Iña',
  czech:
    'Ondřej Jiří Řehoř Tomáš Lukáš Matěj Matouš Štěpán Vojtěch Zdeněk Luboš Miloš Radovan Bořivoj Čeněk Ctibor Dušan Kryštof Žofie Eliška Anežka Barbora Božena Alžběta Růžena Květa Jarmila Tereza Zdeňka Marie Šárka Radka Kateřina Dvořák Dvořáková Novák Nováková Černý Černá Procházka Procházková Veselý Veselá Kučera Kučerová Horák Horáková Němec Němcová Pokorný Růžička Růžičková Beneš Benešová Fiala Sedláček Doležal Zeman Kolář Kolářová Krejčí Navrátil Čermák Urban Vaněk Blažek Kříž Křížová Šimek Šimková Tichý Škoda Hájek Žák Jméno Příjmení Třída Číslo Žďár Řezníček',
  slovak:
    'Ján Juraj Ľuboš Ľudmila Ľubica Štefan Ďuro Ťažký Michal Matúš Šimon Ľudovít Zuzana Mária Anna Oľga Iveta Žaneta Kováč Kováčová Horváth Horváthová Hudák Nagy Baláž Balážová Polák Švec Kollár Ševčík Ševčíková Lukáč Mihalík Sýkora Chovanec Kráľ Kráľová Hruška Vlček Žilina Trieda Číslo Meno',
  polish:
    'Łukasz Paweł Michał Rafał Stanisław Władysław Wacław Bogusław Mirosław Zdzisław Bożena Grażyna Elżbieta Małgorzata Agnieszka Łucja Jagna Róża Żaneta Wiśniewski Wiśniewska Wójcik Kamiński Kamińska Lewandowska Zieliński Zielińska Szymański Dąbrowski Dąbrowska Kozłowski Jankowski Wojciechowski Kwiatkowska Krawczyk Kaczmarek Piotrowski Grabowski Zając Król Wróbel Wieczorek Jabłoński Majewska Stępień Malinowski Górski Górska Sikora Walczak Baran Rutkowski Duda Szewczyk Pietrzak Wróblewski Marciniak Bąk Czarnecki Sawicki Sokołowski Urbański Maciejewski Szczepański Kołodziej Głowacki Kaźmierczak Żak Sędzia Gęś Księżyc Imię Uczeń Łódź Święty Źrebak Ćwik Ósmak',
  hungarian:
    'László József István János Zoltán Sándor Gábor Ferenc Attila Péter Tamás György András Dávid Balázs Ágnes Éva Mária Erzsébet Katalin Ildikó Zsófia Réka Nóra Dóra Orsolya Ödön Örs Árpád Ákos Áron Győző Gergő Nagy Kovács Tóth Szabó Horváth Kiss Molnár Németh Farkas Balogh Papp Takács Juhász Mészáros Oláh Rácz Fekete Szűcs Törőcsik Kőszegi Erdős Vörös Fülöp Gál Halász Hegedűs Bíró Lőrinc Pál Szőke Tűzkő Füzesi Őri Űri',
  romanian:
    'Ştefan Ştefania Ioană Mădălina Cătălin Cătălina Răzvan Bogdănel Iuliană Aurică Măriuca Ţepeş Ţurcanu Dănilă Munteanu Păun Rădulescu Brătianu Cărbune Şerban Şipoş Mureşan Gheorghiţă Bălan Crăciun Neagoe Văduva Sîrbu Câmpeanu Mîndru Pârvu Vâlcea Năstase Ghiţă Stănescu Dragoş Tănase',
  southSlavic:
    'Marko Miloš Nikola Siniša Dušan Žarko Željko Željka Saša Dragiša Božidar Živko Đorđe Đurđica Anđelko Krešimir Hrvoje Tomislav Ćiril Nataša Jovanović Petrović Nikolić Marković Đorđević Stojanović Ilić Stanković Pavlović Milošević Horvat Kovačević Babić Marić Jurić Novak Kovačić Vuković Knežević Matić Tomić Božić Blažević Grgić Pavić Radić Perić Filipović Šarić Lovrić Vidović Perković Popović Bošnjak Jukić Barišić Žagar Zupančič Krajnc Potočnik Mlakar Kralj Golob Turk Božič Korošec Bizjak Hribar Kotnik Rožman Kavčič Oblak Žnidaršič Štrukelj Čeh',
  cyrillic:
    'Александр Алексей Анатолий Андрей Анна Артём Борис Вадим Валентина Василий Вера Виктор Галина Григорий Даниил Дарья Денис Дмитрий Евгений Екатерина Елена Жанна Захар Иван Игорь Илья Ирина Кирилл Ксения Лариса Людмила Максим Мария Михаил Надежда Наталья Никита Николай Оксана Олег Ольга Павел Пётр Роман Светлана Сергей Софья Тарас Татьяна Фёдор Юлия Юрий Яна Ярослав Иванов Иванова Смирнов Кузнецов Попов Соколов Лебедев Козлов Новикова Морозов Волков Петрова Павлов Семёнов Щербаков Чернышёв Шевченко Бойко Коваленко Бондаренко Кравченко Ткаченко Кличко Олійник Василівна Ігор Юлія Андрій Євген Їжак Ученик Фамилия Имя Класс Шишкин Хохлов Цветков Эльвира Объедков Выхухоль',
} as const;

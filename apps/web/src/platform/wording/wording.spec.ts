import {
  cardBands,
  cardFields,
  cardReadingResults,
  lookMakers,
  lookOrigins,
  printStates,
  problemReasons,
  sheetWarnings,
  shortLinkFilters,
  tryoutOutcomes,
} from '@hapset/contract';
import {
  accessVerdicts,
  addressRoles,
  backFields,
  cardCodes,
  cardDesigns,
  carries,
  columnRoles,
  contentProblemReasons,
  dependencies,
  differenceKinds,
  describedRights,
  descriptionProblemReasons,
  doubtReasons,
  finderShapes,
  frameForms,
  genericDevices,
  gradientWays,
  grains,
  lightLevels,
  limitingCauses,
  faceFields,
  lookReasons,
  materialKinds,
  moduleShapes,
  openingProblems,
  paperNames,
  printTechniques,
  readerEngineNames,
  addressDoubts,
  repairKinds,
  rosterParts,
  rosterProblemReasons,
  rosterRoles,
  rungReasons,
  saidBy,
  saidKinds,
  scannerActs,
  sheetKinds,
  surfaces,
  textMarks,
  mediaFormats,
  mediaKinds,
  obstacles,
  paperChanges,
  stationTroubles,
  verdictReasons,
  visitorKinds,
  wallVerdicts,
} from '@hapset/core';
import english from '../../../languages/en/platform.json' with { type: 'json' };
import { grainWords, namesListed } from './figures.js';
import { contentProblemWords } from './content-problems.js';
import { kindWords, mediaWords } from './kinds.js';
import { columnWords, listFileWords } from './list-files.js';
import { problemWords } from './problems.js';
import { addressDoubtWords, answerWords, contactName, refusedWords } from './intake.js';
import { repairSentence } from './repairs.js';
import { dependencyWords, rungReasonWords, rungWords } from './ladder.js';
import { roleSentences, rightWords, roleWords, serviceFileWords, wallWords } from './services.js';
import { cameraTroubles } from '../camera/use-camera.js';
import { cameraTroubleWords, saidSentence, saidTitles, textMarkWords } from './reading.js';
import { actWords, ignoredSentence, shownAsText } from './scanners.js';
import {
  finderShapeWords,
  frameWords,
  gradientWayWords,
  lookMakerWords,
  lookOriginWords,
  lookReasonWords,
  moduleShapeWords,
} from './looks.js';
import { filterWords, openingProblemWords, outcomeWords, visitorWords } from './short-links.js';
import {
  causeWords,
  causesListed,
  differenceSentence,
  differenceWords,
  engineWords,
  lightWords,
  readerWords,
  surfaceWords,
  techniqueWords,
} from './rehearsal.js';
import { genericWords } from './devices.js';
import { obstacleWords, rightsSentence, verdictWords } from './verdicts.js';
import { mediaFormatWords } from './media.js';
import { fixWords, troubleWords } from './troubles.js';
import {
  paperChangeWords,
  faceFieldWords,
  gridProblemWords,
  noticeSentence,
  pagesWords,
  paperWords,
  printStateWords,
  sheetKindAbout,
  sheetKindWords,
  textFieldWords,
  tooSmallHelp,
  warningTitles,
} from './sheets.js';
import {
  cardCodeAbout,
  cardBandWords,
  cardCodeWords,
  cardDesignWords,
  cardFieldWords,
  cardResultWords,
  rosterPartWords,
  rosterProblemSentence,
  rosterProblemWords,
  rosterRoleWords,
} from './students.js';
import { warningWords } from './warnings.js';

/** Every sentence says something, and none shouts. */
function expectWords(table: Readonly<Record<string, string>>, keys: readonly string[]): void {
  expect(Object.keys(table).sort()).toEqual([...keys].sort());
  for (const words of Object.values(table)) {
    expect(words.trim().length).toBeGreaterThan(2);
    expect(words).not.toMatch(/!|\berror \d/i);
  }
}

describe('every reason has words', () => {
  it('problems', () => expectWords(problemWords, [...problemReasons, 'unreachable']));
  it('verdict reasons', () => expectWords(english.reasons, verdictReasons));
  it('corrections', () =>
    expectWords(
      Object.fromEntries(repairKinds.map((kind) => [kind, repairSentence({ kind, removed: '', added: '' }).words])),
      repairKinds,
    ));
  it('what is doubtful about a link', () => expectWords(addressDoubtWords, addressDoubts));
  it('what can’t be used', () => expectWords(refusedWords, ['file-path', 'scheme-not-web', 'not-an-address']));
  it('what students would get', () => {
    const base = { pasted: 'x', title: null, instruction: null, tags: [] };
    const link = { ...base, kind: 'link', link: 'https://a.example/', repairs: [] } as const;
    const call = { kind: 'phone', number: '01 555', name: '' } as const;
    expect(answerWords([link])).toEqual({ verb: 'Link', what: 'https://a.example/' });
    expect(answerWords([link, link]).verb).toBe('2 links');
    expect(answerWords([{ ...base, kind: 'words', words: 'Go' }])).toEqual({ verb: 'These words', what: 'Go' });
    expect(answerWords([{ ...base, kind: 'contact', content: call }])).toEqual({
      verb: 'Phone call to',
      what: '01 555',
    });
    expect(contactName({ kind: 'e-mail', address: 'a@b.example', subject: '', text: '' })).toBe('a@b.example');
  });
  it('warnings', () => expectWords(warningWords, sheetWarnings));
  it('columns and list files', () => {
    expectWords(columnWords, columnRoles);
    expectWords(listFileWords, ['too-large', 'not-a-list', 'empty', 'too-wide']);
  });
  it('students: columns, problems, cards and readings', () => {
    expectWords(rosterRoleWords, rosterRoles);
    expectWords(rosterProblemWords, rosterProblemReasons);
    expectWords(rosterPartWords, rosterParts);
    expectWords(cardCodeWords, cardCodes);
    expectWords(cardDesignWords, cardDesigns);
    expectWords(cardBandWords, cardBands);
    expectWords(cardCodeAbout, cardCodes);
    expectWords(cardFieldWords, cardFields);
    expectWords(cardResultWords, cardReadingResults);
    for (const reason of rosterProblemReasons)
      expect(rosterProblemSentence({ row: 14, reason, detail: 'x', other: 9, leftOut: true })).toMatch(/^Row 14/);
  });
  it('sheets: kinds, fields, states and warnings', () => {
    expectWords(sheetKindWords, sheetKinds);
    expectWords(sheetKindAbout, sheetKinds);
    expectWords(faceFieldWords, faceFields);
    expectWords(textFieldWords, [...faceFields, ...backFields]);
    expect(Object.keys(paperWords)).toEqual([...paperNames]);
    expectWords(printStateWords, printStates);
    expectWords(warningTitles, sheetWarnings);
    expectWords(gridProblemWords, ['no-room', 'cells-overlap', 'beyond-page']);
    const notice = {
      name: 'x',
      stationId: null,
      materialId: 'x',
      field: 'title',
      opens: null,
      characters: ['q'],
      sizeMm: 40,
      reachM: 0.42,
      distanceM: 1.5,
      otherKinds: ['poster', 'table-card'],
      finer: true,
      larger: [
        { way: 'on-a3', reachM: 1.49 },
        { way: 'with-fewer-words', reachM: 0.6 },
      ],
      length: 57,
    } as const;
    for (const warning of sheetWarnings) expect(noticeSentence({ ...notice, warning }).length).toBeGreaterThan(10);
    expect(noticeSentence({ ...notice, warning: 'too-small' })).toBe(
      'At 40 mm it reads from 0.4 m; students stand at 1.5 m.',
    );
    expect(tooSmallHelp(notice)).toBe(
      'On A3 it reads from 1.4 m. With number and title alone it reads from 0.6 m. It is large enough as posters or table cards. A shorter link makes a coarser code.',
    );
    expect(tooSmallHelp({ otherKinds: [], finer: false, larger: [] })).toBe('');
    expect(pagesWords(7, [90.4, 120])).toBe('7 pages, codes 90 to 120 mm wide');
  });
  it('problems of fields', () => expectWords(contentProblemWords, contentProblemReasons));
  it('services: parts, walls, problems and files', () => {
    expectWords(roleWords, addressRoles);
    expectWords(
      roleSentences,
      addressRoles.filter((role) => role !== 'student'),
    );
    expectWords(wallWords, wallVerdicts);
    expectWords(rightWords, describedRights);
    expectWords(english.descriptionProblems, descriptionProblemReasons);
    expectWords(serviceFileWords, ['too-large', 'not-json', 'no-description']);
  });
  it('kinds', () => {
    expectWords(kindWords, materialKinds);
    expectWords(mediaWords, mediaKinds);
    expectWords(mediaFormatWords, mediaFormats);
  });
  it('troubles of stations, and what keeps students out', () => {
    expectWords(troubleWords, stationTroubles);
    expectWords(fixWords, stationTroubles);
    expectWords(paperChangeWords, paperChanges);
    for (const part of ['short', 'heading', 'figure', 'remedy'] as const)
      expectWords(
        Object.fromEntries(obstacles.map((obstacle) => [obstacle, obstacleWords[obstacle][part]])),
        obstacles,
      );
  });
  it('readers, scenes and what limits', () => {
    expectWords(engineWords, readerEngineNames);
    expectWords(genericWords, genericDevices);
    expectWords(readerWords, readerEngineNames);
    expectWords(lightWords, lightLevels);
    expectWords(techniqueWords, printTechniques);
    expectWords(surfaceWords, surfaces);
    expectWords(causeWords, limitingCauses);
    expectWords(differenceWords, differenceKinds);
    expect(differenceSentence({ meant: 'eaf', read: 'oaf' })).toBe('“oaf” instead of “eaf”: a different character');
    expect(causesListed(['light', 'tilt'])).toBe('in even daylight or from straight in front');
  });
  it('grains', () => expectWords(grainWords, grains));
  it('the carry ladder', () => {
    expectWords(rungWords, carries);
    expectWords(dependencyWords, dependencies);
    expectWords(rungReasonWords, rungReasons);
  });
  it('what codes say, marks in their text, and cameras', () => {
    expectWords(saidTitles, saidKinds);
    expectWords(textMarkWords, textMarks);
    expectWords(cameraTroubleWords, cameraTroubles);
    expect(saidSentence(saidBy('http://a.example/x'))).toContain('without encryption');
    expect(saidSentence(saidBy('https://a.example/x'))).toBe('A phone opens a page at a.example.');
    expect(saidSentence(saidBy('intent:x'))).toContain('“intent:”');
    for (const text of ['a.example', 'geo:1,2', 'tel:123', 'sms:123', 'mailto:a@b.example', 'WIFI:S:x;;', 'words'])
      expect(saidSentence(saidBy(text)).length).toBeGreaterThan(10);
  });
  it('looks', () => {
    expectWords(moduleShapeWords, moduleShapes);
    expectWords(finderShapeWords, finderShapes);
    expectWords(frameWords, frameForms);
    expectWords(gradientWayWords, gradientWays);
    expectWords(lookOriginWords, lookOrigins);
    expectWords(lookMakerWords, lookMakers);
    for (const part of ['short', 'long'] as const)
      expectWords(
        Object.fromEntries(Object.entries(lookReasonWords).map(([reason, words]) => [reason, words[part]])),
        lookReasons,
      );
  });
  it('scanners', () => {
    expectWords(actWords, scannerActs);
    expectWords(shownAsText, scannerActs);
    expect(ignoredSentence('event', ['Tablets', 'Laptops'])).toBe(
      'Tablets and Laptops show an event as text and don’t add it.',
    );
    expect(namesListed(['a', 'b', 'c'])).toBe('a, b and c');
  });
  it('short links and tryouts', () => {
    expectWords(openingProblemWords, openingProblems);
    expectWords(filterWords, shortLinkFilters);
    expectWords(outcomeWords, tryoutOutcomes);
    expectWords(visitorWords, visitorKinds);
  });
  it('doubts', () => expectWords(english.doubts, doubtReasons));
  it('what students can do, in a sentence', () => {
    const nothing = { look: false, comment: false, change: false, download: false, answer: 'no' } as const;
    expect(rightsSentence({ ...nothing, look: true })).toBe('Students can look.');
    expect(rightsSentence({ ...nothing, look: true, download: true, answer: 'once' })).toBe(
      'Students can look, save it and answer once.',
    );
    expect(rightsSentence({ ...nothing, look: true, comment: true, change: true, answer: 'again' })).toBe(
      'Students can look, comment, change it and answer, as often as they like.',
    );
    expect(rightsSentence(nothing)).toBe('Students can do nothing with it.');
  });
  it('verdicts', () => {
    expectWords(
      Object.fromEntries(Object.entries(verdictWords).map(([verdict, words]) => [verdict, words.short])),
      accessVerdicts,
    );
    expectWords(
      Object.fromEntries(Object.entries(verdictWords).map(([verdict, words]) => [verdict, words.heading])),
      accessVerdicts,
    );
  });
});

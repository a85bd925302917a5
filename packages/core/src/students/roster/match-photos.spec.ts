import { matchPhotos, type PhotoStudent } from './match-photos.js';

const student = (id: number, schoolId: string | null, name: string, className = '6a'): PhotoStudent<number> => ({
  id,
  schoolId,
  name,
  className,
});
const students = [
  student(1, '00617', 'Ann Lee'),
  student(2, '00620', 'Ana María de la Cruz'),
  student(3, null, 'Bo Dam'),
  student(4, '00701', 'Sam Bell', '6a'),
  student(5, '00702', 'Sam Bell', '6b'),
  student(6, 'x.lee@a.example', 'Xu Lee'),
];

describe('whose photo a file is', () => {
  it.each<[string, number | null]>([
    ['00617.jpg', 1],
    ['photos/6a/00617.JPG', 1],
    ['IMG_00617.png', 1],
    ['00617 Somebody.jpg', 1],
    ['Ann Lee.jpeg', 1],
    ['Lee, Ann.jpg', 1],
    ['LEE_ann.jpg', 1],
    ['de la Cruz Ana Maria.jpg', 2],
    ['Bo Dam 2026.jpg', 3],
    ['C:\\Photos\\Bo Dam.jpg', 3],
    ['x.lee@a.example.jpg', 6],
    ['Sam Bell.jpg', null],
    ['6b/Sam Bell.jpg', 5],
    ['00701 Sam Bell.jpg', 4],
    ['617.jpg', null],
    ['Nobody Here.jpg', null],
    ['IMG_2041.jpg', null],
    ['', null],
  ])('%s', (file, id) => expect(matchPhotos([file], students)).toEqual([id]));

  it('is nobody’s where two are meant', () =>
    expect(matchPhotos(['00617 00620.jpg', '00617.jpg'], students)).toEqual([null, 1]));
});

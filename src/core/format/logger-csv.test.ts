import { describe, expect, it } from 'vitest';
import { type LoggerFile, readLoggerCsv } from './logger-csv';

const read = (text: string, monthFirst?: boolean): LoggerFile => {
  const file = readLoggerCsv(text, monthFirst);
  if (!('days' in file)) throw new Error(JSON.stringify(file.problems));
  return file;
};

describe('a logger’s file', () => {
  it('hourly readings become daily means, columns in any order', () => {
    const file = read('RH %,Time,Temp °C\n40,2027-02-01 00:00,18\n50,2027-02-01 12:00,22\n60,2027-02-02 00:00,20\n');
    expect(file.days).toEqual([
      { day: 31, temperature: 20, relativeHumidity: 45 },
      { day: 32, temperature: 20, relativeHumidity: 60 },
    ]);
    expect(file).toMatchObject({ from: '2027-02-01', to: '2027-02-02', readings: 3, problems: [], fahrenheit: false });
  });

  it.each([
    ['by its heading', 'date,temperature_F,humidity\n2027-01-05,68,40'],
    ['by values no room reaches in °C', 'date,temperature,humidity\n2027-01-05,68,40'],
    ['written behind each value', 'date,Temp (Fahrenheit),humidity\n2027-01-05,68 °F,40 %'],
  ])('Fahrenheit is told %s', (_, text) => {
    expect(read(text).days[0]!.temperature).toBe(20);
    expect(read(text).fahrenheit).toBe(true);
  });

  it.each([
    ['13.02.2027 08:00', '14.02.2027 08:00', 43],
    ['2/13/27 8:00 PM', '2/14/27 8:00 PM', 43],
    ['03/04/2027', '04/04/2027', 92],
    ['2027/2/13', '2027/2/14', 43],
  ])('reads %s by what fits every line', (first, second, day) => {
    const file = read(`date;temp;hum\n${first};20,5;41\n${second};20,5;41\n`);
    expect(file.days.map((d) => d.day)).toEqual([day, day + 1]);
    expect(file.days[0]!.temperature).toBe(20.5);
  });

  it('a date that reads both ways is taken as asked', () => {
    const text = 'date,temp,hum\n03/04/2027,20,40\n';
    expect(read(text).days[0]!.day).toBe(92);
    expect(read(text, true).days[0]!.day).toBe(62);
  });

  it('leaves out what cannot be, line by line, and keeps the rest', () => {
    const file = read(
      'date,temp,hum\n2027-01-01,20,40\nyesterday,20,40\n2027-01-02,,40\n2027-01-03,20,140\n2027-01-04,400,40\n2027-01-05,21,42\n',
    );
    expect(file.days.map((d) => d.day)).toEqual([0, 4]);
    expect(file.problems.map((p) => p.where).sort()).toEqual(['line 3', 'line 4', 'line 5', 'line 6']);
  });

  it('passes over the lines a logger writes before its heading', () => {
    expect(
      read('Model: any\nSerial 12\n\nTimestamp,Temperature,Humidity\n2027-06-01T10:00:00Z,20,55\n').days,
    ).toHaveLength(1);
  });

  it('says what is missing from a file that is no log', () => {
    for (const text of ['', 'a,b,c\n1,2,3', 'date,temp,hum\n', '<html>']) {
      const file = readLoggerCsv(text);
      expect('days' in file).toBe(false);
      expect(file.problems[0]!.wayOut.length).toBeGreaterThan(5);
    }
  });
});

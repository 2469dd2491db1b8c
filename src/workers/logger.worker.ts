import { expose } from 'comlink';
import { type LoggerFile, type Problem, readLoggerCsv } from '@/core';

const logger = {
  /** A file may hold a year of minutes: it is fetched from the disk and read in here. */
  read: async (file: File, monthFirst: boolean): Promise<LoggerFile | { problems: Problem[] }> =>
    readLoggerCsv(await file.text(), monthFirst),
};

export type Logger = typeof logger;
expose(logger);

import { CATALOGUES } from './catalogues';
import { LANGUAGES } from './languages';
import { enLibrary } from './library/en';
import { esLibrary } from './library/es';
import { provideLibraryTexts } from './library-text';
import { provideMessages } from './say';

/** Every language, for programs that have room for all: the server, its threads, the command, the checking page, tests. */
for (const language of LANGUAGES) provideMessages(language, CATALOGUES[language]);
provideLibraryTexts('en', enLibrary);
provideLibraryTexts('es', esLibrary);

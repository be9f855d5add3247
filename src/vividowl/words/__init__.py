"""Every sentence a person reads, as Fluent messages by subject and language, and the one way to make it of a code.
What is said and when is the core's and the use cases'; the page reads the same files by itself."""

from vividowl.words.sentence import ENGLISH, languages, locale, sentence, sentences, spoken, told

__all__ = ["ENGLISH", "languages", "locale", "sentence", "sentences", "spoken", "told"]

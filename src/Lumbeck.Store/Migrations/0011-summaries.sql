-- What a list shows of a revision, so that it is shown without working the job out. Made again where it is missing or of another form;
-- it is as long as its state was when it was made, so that a state that was changed from outside is looked at again.
CREATE TABLE summary (
  revision  INTEGER PRIMARY KEY REFERENCES revision (id),
  form      INTEGER NOT NULL,
  length    INTEGER NOT NULL,
  text      TEXT NOT NULL
);

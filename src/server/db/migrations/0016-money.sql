-- What was agreed with the customer, what was paid of it, and the sizes the customer gave.
ALTER TABLE jobs ADD COLUMN agreed REAL CHECK (agreed >= 0);
ALTER TABLE jobs ADD COLUMN deposit REAL CHECK (deposit >= 0);
ALTER TABLE jobs ADD COLUMN sizes TEXT NOT NULL DEFAULT '';

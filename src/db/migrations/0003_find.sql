-- Words to find by: kept by the database itself, so that no writer can forget them.
CREATE TABLE search_entries (
  id INTEGER PRIMARY KEY,
  home_id TEXT NOT NULL,
  kind TEXT NOT NULL,
  ref_id TEXT NOT NULL,
  unit_id TEXT,
  part_id TEXT,
  title TEXT NOT NULL,
  body TEXT NOT NULL,
  UNIQUE (kind, ref_id)
);
--> statement-breakpoint
CREATE VIRTUAL TABLE search_words USING fts5 (
  title, body, content = 'search_entries', content_rowid = 'id',
  tokenize = "unicode61 remove_diacritics 2", prefix = '2 3'
);
--> statement-breakpoint
CREATE TRIGGER search_entries_added AFTER INSERT ON search_entries BEGIN
  INSERT INTO search_words (rowid, title, body) VALUES (new.id, new.title, new.body);
END;
--> statement-breakpoint
CREATE TRIGGER search_entries_changed AFTER UPDATE ON search_entries BEGIN
  INSERT INTO search_words (search_words, rowid, title, body) VALUES ('delete', old.id, old.title, old.body);
  INSERT INTO search_words (rowid, title, body) VALUES (new.id, new.title, new.body);
END;
--> statement-breakpoint
CREATE TRIGGER search_entries_removed AFTER DELETE ON search_entries BEGIN
  INSERT INTO search_words (search_words, rowid, title, body) VALUES ('delete', old.id, old.title, old.body);
END;
--> statement-breakpoint
CREATE TRIGGER units_found AFTER INSERT ON units BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES (new.home_id, 'unit', new.id, new.id, NULL, new.name,
    coalesce(new.make, '') || ' ' || coalesce(new.model, '') || ' ' || coalesce(new.serial, '') || ' ' || new.kind
    || ' ' || coalesce(new.refrigerant, '') || ' ' || coalesce(new.access, '') || ' ' || coalesce(new.papers, '') || ' ' || coalesce(new.note, '')
    || ' ' || coalesce((SELECT group_concat(value, ' ') FROM json_each(new.answers)), ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
CREATE TRIGGER units_found_again AFTER UPDATE ON units BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES (new.home_id, 'unit', new.id, new.id, NULL, new.name,
    coalesce(new.make, '') || ' ' || coalesce(new.model, '') || ' ' || coalesce(new.serial, '') || ' ' || new.kind
    || ' ' || coalesce(new.refrigerant, '') || ' ' || coalesce(new.access, '') || ' ' || coalesce(new.papers, '') || ' ' || coalesce(new.note, '')
    || ' ' || coalesce((SELECT group_concat(value, ' ') FROM json_each(new.answers)), ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
  UPDATE parts SET name = name WHERE unit_id = new.id;
END;
--> statement-breakpoint
CREATE TRIGGER parts_found AFTER INSERT ON parts BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES ((SELECT home_id FROM units WHERE id = new.unit_id), 'part', new.id, new.unit_id, new.id, new.name,
    (SELECT name FROM units WHERE id = new.unit_id) || ' ' || new.kind || ' ' || coalesce(new.place, '') || ' ' || coalesce(new.note, '')
    || ' ' || coalesce((SELECT group_concat(value, ' ') FROM json_each(new.answers)), '')
    || ' ' || coalesce((SELECT nominal_text || ' ' || media || ' ' || coalesce(rating_scheme, '') || ' ' || coalesce(rating_class, '')
      || ' ' || coalesce(direction_mark, '') || ' ' || coalesce(indicator_reset, '') FROM filter_slots WHERE part_id = new.id), ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
CREATE TRIGGER parts_found_again AFTER UPDATE ON parts BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES ((SELECT home_id FROM units WHERE id = new.unit_id), 'part', new.id, new.unit_id, new.id, new.name,
    (SELECT name FROM units WHERE id = new.unit_id) || ' ' || new.kind || ' ' || coalesce(new.place, '') || ' ' || coalesce(new.note, '')
    || ' ' || coalesce((SELECT group_concat(value, ' ') FROM json_each(new.answers)), '')
    || ' ' || coalesce((SELECT nominal_text || ' ' || media || ' ' || coalesce(rating_scheme, '') || ' ' || coalesce(rating_class, '')
      || ' ' || coalesce(direction_mark, '') || ' ' || coalesce(indicator_reset, '') FROM filter_slots WHERE part_id = new.id), ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
CREATE TRIGGER filter_slots_found AFTER INSERT ON filter_slots BEGIN
  UPDATE parts SET name = name WHERE id = new.part_id;
END;
--> statement-breakpoint
CREATE TRIGGER filter_slots_found_again AFTER UPDATE ON filter_slots BEGIN
  UPDATE parts SET name = name WHERE id = new.part_id;
END;
--> statement-breakpoint
CREATE TRIGGER events_found AFTER INSERT ON events WHEN new.words IS NOT NULL BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES (new.home_id, 'note', new.id, new.unit_id, new.part_id, new.words,
    coalesce((SELECT name FROM units WHERE id = new.unit_id), '') || ' ' || coalesce((SELECT name FROM parts WHERE id = new.part_id), ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
CREATE TRIGGER contacts_found AFTER INSERT ON contacts BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES (new.home_id, 'contact', new.id, NULL, NULL, new.name,
    new.role || ' ' || coalesce(new.phone, '') || ' ' || coalesce(new.email, '') || ' ' || coalesce(new.note, ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
CREATE TRIGGER contacts_found_again AFTER UPDATE ON contacts BEGIN
  INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
  VALUES (new.home_id, 'contact', new.id, NULL, NULL, new.name,
    new.role || ' ' || coalesce(new.phone, '') || ' ' || coalesce(new.email, '') || ' ' || coalesce(new.note, ''))
  ON CONFLICT (kind, ref_id) DO UPDATE SET title = excluded.title, body = excluded.body, unit_id = excluded.unit_id;
END;
--> statement-breakpoint
-- What is there already is entered by touching it.
UPDATE units SET name = name;
--> statement-breakpoint
INSERT INTO search_entries (home_id, kind, ref_id, unit_id, part_id, title, body)
SELECT events.home_id, 'note', events.id, events.unit_id, events.part_id, events.words,
  coalesce(units.name, '') || ' ' || coalesce(parts.name, '')
FROM events LEFT JOIN units ON units.id = events.unit_id LEFT JOIN parts ON parts.id = events.part_id
WHERE events.words IS NOT NULL;

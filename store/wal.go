package store

import (
	"encoding/binary"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
)

// The form of SQLite's log, by its published description (the WAL file format): a head of 32
// bytes, then frames of 24 bytes and a page each; every frame's checksum goes on with the
// one before.
const (
	walHead  = 32
	walFrame = 24
)

// checkLog reads SQLite's log as it was left by a program that was killed. SQLite itself
// stops at the first frame that is not whole, and says nothing of the changes after it;
// ErrDamaged does. What a power cut may leave is no damage: the one change at the end that
// was never finished.
func checkLog(path string) error {
	f, err := os.Open(path)
	if errors.Is(err, fs.ErrNotExist) {
		return nil
	}
	if err != nil {
		return trouble(err)
	}
	defer func() { _ = f.Close() }()
	head := make([]byte, walHead)
	if _, err := io.ReadFull(f, head); err != nil {
		return nil // nothing was ever in it
	}
	var order binary.ByteOrder = binary.LittleEndian
	if binary.BigEndian.Uint32(head)&1 == 1 {
		order = binary.BigEndian
	}
	page := int(binary.BigEndian.Uint32(head[8:]))
	info, err := f.Stat()
	if err != nil {
		return trouble(err)
	}
	sum := walSum{}
	sum.add(head[:24], order)
	whole := binary.BigEndian.Uint32(head)&^1 == 0x377f0682 && sum.is(head[24:])
	if !whole {
		if info.Size() > walHead {
			return fmt.Errorf("%w (the head of %s is not whole)", ErrDamaged, path)
		}
		return nil
	}
	if page < 512 || page > 65536 {
		return fmt.Errorf("%w (the head of %s is not whole)", ErrDamaged, path)
	}
	frame := make([]byte, walFrame+page)
	bad, commits := -1, 0
	for i := 0; ; i++ {
		if _, err := io.ReadFull(f, frame); err != nil {
			break
		}
		if string(frame[8:16]) != string(head[16:24]) {
			if bad >= 0 {
				continue
			}
			// Left from before the log was begun anew; but where its sum goes on from the frame before, it
			// belongs here, and its mark alone is not as it was written.
			here := sum
			here.add(frame[:8], order)
			here.add(frame[walFrame:], order)
			if here.is(frame[16:24]) {
				return fmt.Errorf("%w (the mark of a change is spoiled in %s)", ErrDamaged, path)
			}
			break
		}
		if bad < 0 {
			sum.add(frame[:8], order)
			sum.add(frame[walFrame:], order)
			if !sum.is(frame[16:24]) {
				bad = i
			}
		}
		if bad >= 0 && binary.BigEndian.Uint32(frame[4:]) != 0 {
			commits++
		}
	}
	if commits > 1 {
		return fmt.Errorf("%w (%d of the last changes are lost in %s)", ErrDamaged, commits, path)
	}
	return nil
}

// walSum is the running checksum of a log.
type walSum [2]uint32

func (s *walSum) add(b []byte, order binary.ByteOrder) {
	for i := 0; i+8 <= len(b); i += 8 {
		s[0] += order.Uint32(b[i:]) + s[1]
		s[1] += order.Uint32(b[i+4:]) + s[0]
	}
}

func (s *walSum) is(b []byte) bool {
	return s[0] == binary.BigEndian.Uint32(b) && s[1] == binary.BigEndian.Uint32(b[4:])
}

package device

import (
	"errors"
	"fmt"
	"io"
	"net"
	"slices"
	"strings"
	"time"
)

// reached is how long a device at an address is tried.
const reached = 2 * time.Second

// Place connects to a device.
type Place func() (io.ReadWriteCloser, error)

// Dial connects to a device at a place that was named: "tcp:host:port". Nothing is sent before it is used.
func Dial(place string) (Place, error) {
	addr, ok := strings.CutPrefix(place, "tcp:")
	if !ok {
		return nil, fmt.Errorf("“%s” is no place of a device: name it as tcp:host:port", clip(place))
	}
	if _, port, err := net.SplitHostPort(addr); err != nil || port == "" {
		return nil, errors.Join(fmt.Errorf("“%s” is no place of a device: name it as tcp:host:port", clip(place)), err)
	}
	return func() (io.ReadWriteCloser, error) { return net.DialTimeout("tcp", addr, reached) }, nil
}

// CutterID names the cutter among the devices.
const CutterID = "cutter"

// StandIns names the devices that can be simulated at an address of their own.
func StandIns() (list []string) {
	for _, k := range kinds {
		list = append(list, k.ID)
	}
	return append(list, CutterID)
}

// StandIn is a simulated device that serves whoever connects; load is what lies in or on it.
func StandIn(id string, b Behaviour, load float64) (serve func(io.ReadWriteCloser), err error) {
	if !slices.Contains(Behaviours(), b) {
		return nil, fmt.Errorf("a device cannot behave “%s”: choose steady, restless, silent or rubbish", clip(string(b)))
	}
	for _, k := range kinds {
		if k.ID == id {
			_, s := k.Simulated(b)
			s.Put(load)
			return s.serve, nil
		}
	}
	_, s := NewCutter(b)
	return s.Serve, nil
}
